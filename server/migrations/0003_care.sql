-- Up Migration
create table care_check (
  id uuid primary key,
  yard_id uuid not null references yard,
  horse_id uuid not null references horse,
  person_id uuid not null references person,
  kind text not null,
  on_day date not null,
  until_day date,
  passed boolean not null,
  note text not null
);
create index care_check_horse on care_check (horse_id, on_day);

create table incident (
  id uuid primary key,
  yard_id uuid not null references yard,
  horse_id uuid not null references horse,
  person_id uuid not null references person,
  kind text not null,
  on_day date not null,
  step text,
  side text,
  serious boolean not null,
  place text not null,
  before text not null,
  after text not null
);
create index incident_horse on incident (horse_id, on_day);

-- What somebody confirmed at the pen; it holds for that day only.
create table day_confirmation (
  yard_id uuid not null references yard,
  horse_id uuid not null references horse,
  day date not null,
  confirmed text[] not null,
  person_id uuid not null references person,
  primary key (horse_id, day)
);

create table overrule (
  id uuid primary key,
  yard_id uuid not null references yard,
  horse_id uuid not null references horse,
  person_id uuid not null references person,
  gate text not null,
  day date not null,
  verdict text not null,
  reason text not null,
  at timestamptz not null
);
create index overrule_horse on overrule (horse_id, day);

-- Down Migration
drop table overrule, day_confirmation, incident, care_check;
