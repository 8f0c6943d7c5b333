-- Guesses at passwords and invitations, counted over all instances. The id is a hash. Not worth a log: after
-- a crash everybody begins anew.
create unlogged table guess_bucket (
  id         text   primary key,
  state      bytea,
  expires_at bigint
);
create index guess_bucket_expiry on guess_bucket (expires_at);

-- A device that somebody signed in with: it keeps guesses of its own while strangers try their luck.
create table known_device (
  token_hash text        primary key,
  person_id  bigint      not null references person (id) on delete cascade,
  seen_at    timestamptz not null default now()
);
create index known_device_person on known_device (person_id);

-- Whose open invitations end with their right to make them.
create index invitation_invited_by on invitation (invited_by);
delete from invitation i
where i.accepted_at is null
  and not exists (
    select 1 from farm_member m
    where m.farm_id = i.farm_id and m.person_id = i.invited_by and m.role = 'OWNER');

-- The newest record of a farm: while it is the same, so is the year.
create index farm_record_newest on farm_record (farm_id, number);

-- Of old changes every twentieth is kept whole, and of the others what was edited.
alter table plan_revision alter column content drop not null;
