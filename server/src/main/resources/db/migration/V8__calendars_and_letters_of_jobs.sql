-- A secret address under which a person's calendar of a plan is read; only its hash is kept.
create table calendar_feed (
  plan_id     bigint      not null references plan (id) on delete cascade,
  person_id   bigint      not null references person (id) on delete cascade,
  secret_hash text        not null unique,
  made_at     timestamptz not null default now(),
  primary key (plan_id, person_id)
);

-- Who wants letters about the jobs of a plan, and when the last one went out.
create table reminder (
  plan_id      bigint  not null references plan (id) on delete cascade,
  person_id    bigint  not null references person (id) on delete cascade,
  days_ahead   integer not null check (days_ahead between 1 and 60),
  last_sent_on date,
  primary key (plan_id, person_id)
);

-- The last letters, as they were given to the mail.
create table letter (
  id        bigint  generated always as identity primary key,
  plan_id   bigint  not null references plan (id) on delete cascade,
  person_id bigint  not null references person (id) on delete cascade,
  sent_on   date    not null,
  subject   text    not null,
  words     text    not null
);
create index letter_of on letter (plan_id, person_id, id);
