-- A plan is stored whole: farm and intentions as one checked document, with every edit that led to it.
create table plan (
  id          bigint generated always as identity primary key,
  slug        text        not null unique check (slug ~ '^[a-z0-9-]{1,60}$'),
  is_demo     boolean     not null default false,
  revision    integer     not null check (revision >= 1),
  content     jsonb       not null,
  created_at  timestamptz not null default now(),
  changed_at  timestamptz not null default now()
);

create table plan_revision (
  plan_id  bigint      not null references plan (id) on delete cascade,
  number   integer     not null check (number >= 1),
  words    text        not null,
  edits    jsonb       not null,
  content  jsonb       not null,
  made_at  timestamptz not null default now(),
  primary key (plan_id, number)
);
