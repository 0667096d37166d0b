-- Up Migration
create table pen_session (
  id uuid primary key,
  yard_id uuid not null references yard,
  horse_id uuid not null references horse,
  person_id uuid not null references person,
  started_at timestamptz not null,
  day date not null,
  place text,
  note text not null default '',
  confirmed_at timestamptz
);
create index pen_session_day on pen_session (yard_id, day);
create index pen_session_horse on pen_session (horse_id, started_at);

-- Append-only: a correction voids one answer and adds another, and both stay.
create table answer (
  id uuid primary key,
  seq bigint generated always as identity,
  yard_id uuid not null references yard,
  horse_id uuid not null references horse,
  session_id uuid not null references pen_session,
  person_id uuid not null references person,
  step text not null,
  side text not null check (side in ('left', 'right', 'none')),
  rung smallint not null check (rung >= 1),
  grade smallint not null check (grade between 0 and 4),
  calm smallint check (calm between 0 and 2),
  at timestamptz not null,
  day date not null,
  -- The phone's own clock, kept beside the corrected time.
  phone_at timestamptz not null,
  ahead boolean not null,
  by_chance boolean not null,
  recalled boolean not null,
  uncued boolean not null,
  place smallint check (place between 1 and 5),
  moving boolean not null,
  seconds real,
  fault text,
  replaces uuid
);
create index answer_track on answer (horse_id, step, side, at, seq);
create index answer_session on answer (session_id, at, seq);
create index answer_day on answer (yard_id, day);

create table voiding (
  id uuid primary key,
  yard_id uuid not null references yard,
  answer_id uuid not null unique references answer,
  person_id uuid not null references person,
  at timestamptz not null,
  reason text not null
);

-- What is believed of each horse, step and side; rebuilt from the answers when history changes.
create table track (
  yard_id uuid not null references yard,
  horse_id uuid not null references horse,
  step text not null,
  side text not null,
  ability bytea not null,
  calm bytea not null,
  log_likelihood double precision not null,
  last_day date not null,
  days_worked integer not null,
  tally jsonb not null,
  primary key (horse_id, step, side)
);

-- A track as shown on one day; filled on the first read, dropped by a new answer.
create table track_day (
  yard_id uuid not null references yard,
  horse_id uuid not null references horse,
  day date not null,
  step text not null,
  side text not null,
  view jsonb not null,
  primary key (horse_id, day, step, side)
);

-- Down Migration
drop table track_day, track, voiding, answer, pen_session;
