-- Pictures that records of a farm name, by the SHA-256 of their bytes.
create table photo (
  farm_id bigint      not null references farm (id) on delete cascade,
  id      text        not null check (id ~ '^[0-9a-f]{64}$'),
  jpeg    bytea       not null,
  made_at timestamptz not null default now(),
  primary key (farm_id, id)
);

-- Instruments that send readings of their own, each under a secret address of which only a hash is kept. What it
-- sends is written down for whoever added it.
create table instrument (
  id          bigint      generated always as identity primary key,
  plan_id     bigint      not null references plan (id) on delete cascade,
  person_id   bigint      not null references person (id) on delete cascade,
  kind        text        not null check (kind in ('PLATE', 'STATION')),
  name        text        not null,
  simulated   boolean     not null,
  secret_hash text        not null unique,
  made_at     timestamptz not null default now(),
  last_at     timestamptz
);
create index instrument_of on instrument (plan_id, id);
