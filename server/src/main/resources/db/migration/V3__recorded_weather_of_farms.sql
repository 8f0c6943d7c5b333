-- Daily weather that somebody measured, for a farm. Each array has one value a day from first_day on;
-- NaN where nothing was recorded. Temperatures deg C, water mm, radiation MJ/m2.
create table recorded_weather (
  id            bigint generated always as identity primary key,
  farm_id       bigint             not null references farm (id) on delete cascade,
  slug          text               not null check (slug ~ '^[a-z0-9-]{1,60}$'),
  name          text               not null,
  first_day     date               not null,
  tmin_c        double precision[] not null,
  tmax_c        double precision[] not null,
  rain_mm       double precision[] not null,
  solar_mj_m2   double precision[] not null,
  et0_mm        double precision[] not null,
  added_at      timestamptz        not null default now(),
  unique (farm_id, slug)
);
