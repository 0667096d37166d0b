-- Up Migration
-- What was measured of a horse's body.
create table measurement (
  yard_id uuid not null references yard,
  id uuid not null,
  horse_id uuid not null,
  person_id uuid not null,
  on_day date not null,
  girth_cm double precision,
  length_cm double precision,
  withers_cm double precision,
  croup_cm double precision,
  condition double precision,
  scale_kg double precision,
  note text not null,
  taken_back boolean not null,
  primary key (yard_id, id),
  foreign key (yard_id, horse_id) references horse (yard_id, id),
  foreign key (yard_id, person_id) references person (yard_id, id)
);
create index measurement_horse on measurement (yard_id, horse_id, on_day);
alter table measurement enable row level security;
alter table measurement force row level security;
create policy own_yard on measurement to still_pine_app using (yard_id = yard_now()) with check (yard_id = yard_now());
grant select, insert, update on measurement to still_pine_app;
create trigger told after insert or update on measurement for each row execute function tell_of_change('horse_id');

-- Down Migration
drop table measurement;
