set local jit = off;  -- many small looks into documents

-- What was seen or done on a farm, in the order in which it was written down. Rows are only ever added: a
-- wrong record is struck out by another one. command: the request that brought it, so that one which is sent
-- twice counts once. fact: says its kind and what of it; server/json/Facts.java knows them.
create table farm_record (
  number      bigint      generated always as identity primary key,
  farm_id     bigint      not null references farm (id) on delete cascade,
  id          text        not null check (length(id) between 1 and 160),
  command     text        not null check (length(command) between 1 and 160),
  happened_on date        not null,
  fact        jsonb       not null,
  kind        text        not null generated always as (fact ->> 'kind') stored,
  person_id   bigint      references person (id) on delete set null,
  who         text        not null,
  device      text        not null,
  written_at  timestamptz not null,
  unique (farm_id, id)
);
create index farm_record_kind on farm_record (farm_id, kind);
create index farm_record_command on farm_record (farm_id, command);

create function farm_record_stays() returns trigger language plpgsql as $$
begin
  -- A person may go; what they wrote stays.
  if to_jsonb(new) - 'person_id' is distinct from to_jsonb(old) - 'person_id' then
    raise exception 'a record is never changed: another one strikes it out';
  end if;
  return new;
end $$;
create trigger farm_record_stays after update on farm_record
  for each row execute function farm_record_stays();

-- A document is read by the version it was written in. Those of before are of version 5, in which records
-- stood in the plan; they are lifted as they are read (server/json/Lift.java).
alter table plan add column content_version integer not null default 5;
alter table plan_revision add column content_version integer not null default 5;
alter table plan alter column content_version drop default;
alter table plan_revision alter column content_version drop default;

-- The records of every plan as it stands, once a farm, with who first wrote them and when.
insert into farm_record (farm_id, id, command, happened_on, fact, person_id, who, device, written_at)
select one.farm_id, one.id, 'before-records', one.happened_on, one.fact, wrote.person_id,
       coalesce(wrote.name, ''), '', coalesce(wrote.made_at, one.changed_at)
from (
  select distinct on (found.farm_id, found.id) found.*
  from (
    select p.farm_id, p.id as plan_id, p.changed_at, r ->> 'id' as id, (r ->> 'date')::date as happened_on,
           case when r ->> 'kind' = 'FED'
             then jsonb_build_object('kind', 'LOT_FED', 'lotId', r -> 'lotId', 'units', r -> 'units',
                                     'groupId', r -> 'groupId', 'note', r -> 'note')
             else jsonb_build_object('kind', 'LOT_COUNTED', 'lotId', r -> 'lotId', 'units', r -> 'units',
                                     'note', r -> 'note') end as fact,
           '$.plan.records[*] ? (@.id == $a)' as path, jsonb_build_object('a', r -> 'id') as vars
    from plan p, jsonb_path_query(p.content, 'lax $.plan.records[*]') r
    union all
    select p.farm_id, p.id, p.changed_at, 'score-' || (g ->> 'id') || '-' || (s ->> 'date'),
           (s ->> 'date')::date,
           jsonb_build_object('kind', 'CONDITION_SEEN', 'groupId', g -> 'id', 'score', s -> 'score',
                              'weightKg', s -> 'weightKg'),
           '$.farm.groups[*] ? (@.id == $a).scores[*] ? (@.date == $b)',
           jsonb_build_object('a', g -> 'id', 'b', s -> 'date')
    from plan p, jsonb_path_query(p.content, 'lax $.farm.groups[*]') g,
         jsonb_path_query(g, 'lax $.scores[*]') s
    union all
    select p.farm_id, p.id, p.changed_at, 'test-' || (l ->> 'id') || '-' || (t ->> 'id'),
           (t ->> 'sampledOn')::date,
           jsonb_build_object('kind', 'LOT_TESTED', 'lotId', l -> 'id', 'test', t),
           '$.** ? (@.id == $a).tests[*] ? (@.id == $b)',
           jsonb_build_object('a', l -> 'id', 'b', t -> 'id')
    from plan p,
         unnest(array['lax $.farm.lots[*]', 'lax $.plan.cuts[*].lot', 'lax $.plan.purchases[*].lot']) there,
         jsonb_path_query(p.content, there::jsonpath) l,
         jsonb_path_query(l, 'lax $.tests[*]') t
  ) found
  order by found.farm_id, found.id, found.changed_at desc
) one
left join lateral (
  select v.person_id, v.made_at, w.name
  from plan_revision v left join person w on w.id = v.person_id
  where v.plan_id = one.plan_id and jsonb_path_exists(v.content, one.path::jsonpath, one.vars)
  order by v.number limit 1) wrote on true
order by coalesce(wrote.made_at, one.changed_at), one.happened_on, one.id;

-- Samples on their way and reports taken: the reports stand above already.
insert into farm_record (farm_id, id, command, happened_on, fact, person_id, who, device, written_at)
select p.farm_id, s.slug, 'before-records', s.sampled_on,
       jsonb_build_object('kind', 'SAMPLE_SENT', 'lot', s.lot_json - 'tests',
         'dueAt', to_char(s.due_at at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.US"Z"')),
       null, '', '', least(now(), s.due_at)
from feed_sample s join plan p on p.id = s.plan_id
order by s.id
on conflict (farm_id, id) do nothing;
drop table feed_sample;

insert into farm_record (farm_id, id, command, happened_on, fact, person_id, who, device, written_at)
select farm_id, slug, 'before-records', first_day,
       jsonb_build_object('kind', 'WEATHER_MEASURED', 'weather', jsonb_build_object(
         'name', name, 'start', first_day, 'tminC', to_jsonb(tmin_c), 'tmaxC', to_jsonb(tmax_c),
         'rainMm', to_jsonb(rain_mm), 'solarMjPerM2', to_jsonb(solar_mj_m2), 'et0Mm', to_jsonb(et0_mm))),
       null, '', '', added_at
from recorded_weather order by id
on conflict (farm_id, id) do nothing;
drop table recorded_weather;
