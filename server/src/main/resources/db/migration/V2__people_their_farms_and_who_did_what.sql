-- Somebody who signs in. Without e-mail and password: the visitor, who opens the demo farms on loopback.
create table person (
  id            bigint generated always as identity primary key,
  email         text        unique check (email = lower(email)),
  name          text        not null,
  password_hash text,
  runs_product  boolean     not null default false,
  created_at    timestamptz not null default now(),
  check ((email is null) = (password_hash is null))
);

-- A farm gathers plans and the people who may see them.
create table farm (
  id         bigint generated always as identity primary key,
  slug       text        not null unique check (slug ~ '^[a-z0-9-]{1,60}$'),
  name       text        not null,
  is_demo    boolean     not null default false,
  created_at timestamptz not null default now()
);

create table farm_member (
  farm_id   bigint      not null references farm (id) on delete cascade,
  person_id bigint      not null references person (id) on delete cascade,
  role      text        not null check (role in ('OWNER', 'PLANNER', 'HELPER', 'READER')),
  since     timestamptz not null default now(),
  primary key (farm_id, person_id)
);
create index farm_member_person on farm_member (person_id);

-- The link holds a token; only its hash is kept. A used invitation stays, so that it is seen who came how.
create table invitation (
  id          bigint generated always as identity primary key,
  farm_id     bigint      not null references farm (id) on delete cascade,
  role        text        not null check (role in ('OWNER', 'PLANNER', 'HELPER', 'READER')),
  name        text        not null,
  token_hash  text        not null unique,
  invited_by  bigint      references person (id) on delete set null,
  created_at  timestamptz not null default now(),
  expires_at  timestamptz not null,
  accepted_at timestamptz
);
create index invitation_farm on invitation (farm_id);

-- Plans of before had no farm: each gets one of its own.
insert into farm (slug, name, is_demo)
select slug, coalesce(content #>> '{farm,name}', slug), is_demo from plan order by id;
alter table plan add column farm_id bigint references farm (id) on delete cascade;
update plan set farm_id = (select f.id from farm f where f.slug = plan.slug);
alter table plan alter column farm_id set not null;
alter table plan drop column is_demo;
create index plan_farm on plan (farm_id);

-- restores: the revision whose content this one brought back; undid: the edit that an undo took back.
alter table plan_revision
  add column person_id bigint references person (id) on delete set null,
  add column kind      text not null default 'EDIT' check (kind in ('BEGAN', 'EDIT', 'UNDO', 'REDO')),
  add column restores  integer,
  add column undid     integer;
update plan_revision set kind = 'BEGAN' where number = 1;

-- Sessions, so that a restart signs nobody out and any number of instances may serve.
create table spring_session (
  primary_id            char(36) not null primary key,
  session_id            char(36) not null,
  creation_time         bigint   not null,
  last_access_time      bigint   not null,
  max_inactive_interval int      not null,
  expiry_time           bigint   not null,
  principal_name        varchar(100)
);
create unique index spring_session_ix1 on spring_session (session_id);
create index spring_session_ix2 on spring_session (expiry_time);
create index spring_session_ix3 on spring_session (principal_name);

create table spring_session_attributes (
  session_primary_id char(36)     not null references spring_session (primary_id) on delete cascade,
  attribute_name     varchar(200) not null,
  attribute_bytes    bytea        not null,
  primary key (session_primary_id, attribute_name)
);
