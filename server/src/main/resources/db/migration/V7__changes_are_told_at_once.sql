-- Whoever has a plan open hears of each revision of it and of each record of its farm, whichever instance of
-- the product it came through. Told once the change is stored. Payload: number of the farm, and of a plan its
-- address and its revision. A database may hold several schemas: each has a channel of its own.
create function plan_revision_told() returns trigger language plpgsql as $$
begin
  perform pg_notify('larder_' || tg_table_schema,
                    p.farm_id || ' ' || p.slug || ' ' || new.number)
  from plan p where p.id = new.plan_id;
  return null;
end $$;
create trigger plan_revision_told after insert on plan_revision
  for each row execute function plan_revision_told();

create function farm_record_told() returns trigger language plpgsql as $$
begin
  perform pg_notify('larder_' || tg_table_schema, new.farm_id::text);
  return null;
end $$;
create trigger farm_record_told after insert on farm_record
  for each row execute function farm_record_told();
