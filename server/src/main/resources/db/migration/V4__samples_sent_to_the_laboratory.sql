-- Samples of feed lots that were sent to a forage laboratory. The lot is kept as it stood when the
-- sample was sent, as the stand-in laboratory draws its report from it; taken: the report stands in
-- the lot.
create table feed_sample (
  id          bigint generated always as identity primary key,
  plan_id     bigint      not null references plan (id) on delete cascade,
  slug        text        not null check (slug ~ '^[a-z0-9-]{1,60}$'),
  lot_id      text        not null,
  lot_name    text        not null,
  lot_json    jsonb       not null,
  sampled_on  date        not null,
  due_at      timestamptz not null,
  taken       boolean     not null default false,
  unique (plan_id, slug)
);
