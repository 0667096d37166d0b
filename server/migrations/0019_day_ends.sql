-- Up Migration
-- How a horse and its tracks stood at the end of the days of its last two months: what changes late is made again from
-- there, and not from its first day. Where nothing is here, it is.
create table horse_day_end (
  yard_id uuid not null,
  horse_id uuid not null,
  day date not null,
  standing jsonb not null,
  primary key (yard_id, horse_id, day),
  foreign key (yard_id, horse_id) references horse (yard_id, id)
);

create table track_day_end (
  yard_id uuid not null,
  horse_id uuid not null,
  step text not null,
  side text not null,
  -- The last day on which the track was asked until then.
  last_day date not null,
  ability bytea not null,
  calm bytea not null,
  log_likelihood double precision not null,
  days_worked integer not null,
  start jsonb not null,
  covariance jsonb not null,
  tally jsonb not null,
  primary key (yard_id, horse_id, step, side, last_day),
  foreign key (yard_id, horse_id) references horse (yard_id, id)
);

alter table horse_day_end enable row level security;
alter table horse_day_end force row level security;
create policy own_yard on horse_day_end to still_pine_app using (yard_id = yard_now()) with check (yard_id = yard_now());
alter table track_day_end enable row level security;
alter table track_day_end force row level security;
create policy own_yard on track_day_end to still_pine_app using (yard_id = yard_now()) with check (yard_id = yard_now());
grant select, insert, update, delete on horse_day_end, track_day_end to still_pine_app;
