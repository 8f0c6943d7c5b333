-- Names and days of plans stand beside their documents, so that lists of thousands need not open them.
alter table plan
  add column name   text    not null generated always as (coalesce(content #>> '{plan,name}', '')) stored,
  add column start  text    not null generated always as (coalesce(content #>> '{plan,year,start}', '')) stored,
  add column months integer not null generated always as
    (coalesce((content #>> '{plan,year,months}')::integer, 12)) stored,
  add column note   text    not null generated always as (coalesce(content #>> '{farm,note}', '')) stored;

-- How each farm stood on the last morning that was reckoned. changes: counted by each edit and record of the
-- farm; of_changes: how many there were when it was reckoned, null where it never was. times: how often it was.
create table morning (
  farm_id        bigint  primary key references farm (id) on delete cascade,
  changes        bigint  not null default 0,
  of_changes     bigint,
  times          integer not null default 0,
  day            date,
  reckoned_at    timestamptz,
  failed         boolean not null default false,
  plan_id        bigint  references plan (id) on delete set null,
  units          text,
  looked_from    date,
  verdict        text,
  verdict_rank   integer,
  bare_on        date,
  missing_kg     double precision,
  bare_in_ten_on date,
  fed            integer,
  years          integer,
  until          date,
  next_on        date,
  next_last      date,
  next_job       text,
  late           integer,
  late_job       text,
  late_since     date,
  last_seen      date
);
create index morning_plan on morning (plan_id);

-- What the simulated years of a plan came to, by day, run from the state of a day on: while plan, records and
-- rules are the same (the key), the mornings of some weeks are read off them.
create table morning_years (
  farm_id bigint     primary key references farm (id) on delete cascade,
  key     text       not null,
  years   integer    not null,
  asked   integer    not null,
  begun   integer    not null,
  fed     smallint[] not null,
  in_ten  smallint[] not null
);

insert into morning (farm_id) select id from farm;

create function farm_has_a_morning() returns trigger language plpgsql as $$
begin
  insert into morning (farm_id) values (new.id);
  return null;
end $$;
create trigger farm_has_a_morning after insert on farm
  for each row execute function farm_has_a_morning();

create function morning_changes() returns trigger language plpgsql as $$
begin
  if tg_table_name = 'plan_revision' then
    update morning set changes = changes + 1 where farm_id = (select farm_id from plan where id = new.plan_id);
  elsif tg_table_name = 'farm_record' then
    update morning set changes = changes + 1 where farm_id = new.farm_id;
  else
    update morning set changes = changes + 1 where farm_id = old.farm_id;
  end if;
  return null;
end $$;
create trigger morning_changes after insert on plan_revision for each row execute function morning_changes();
create trigger morning_changes after insert on farm_record for each row execute function morning_changes();
create trigger morning_changes after delete on plan for each row execute function morning_changes();

-- Work that waits for a worker, in the columns of the library that hands it out (db-scheduler 16).
create table scheduled_tasks (
  task_name            text        not null,
  task_instance        text        not null,
  task_data            bytea,
  execution_time       timestamptz not null,
  picked               boolean     not null,
  picked_by            text,
  last_success         timestamptz,
  last_failure         timestamptz,
  consecutive_failures integer,
  last_heartbeat       timestamptz,
  version              bigint      not null,
  priority             smallint,
  primary key (task_name, task_instance)
);
create index scheduled_tasks_due on scheduled_tasks (execution_time);
create index scheduled_tasks_heartbeat on scheduled_tasks (last_heartbeat);
create index scheduled_tasks_priority on scheduled_tasks (priority desc, execution_time);
