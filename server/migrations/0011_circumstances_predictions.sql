-- Up Migration
-- How a session was, and what it set out to do.
alter table pen_session
  add column circumstances jsonb not null default '{"watching": null, "turnout": null, "ground": null,
    "handler": null, "hands": null, "weather": null, "kit": ""}',
  add column promised jsonb;

-- What was predicted just before each first ask of a day, and what came: one row a track and day, made with the tracks.
create table prediction (
  answer_id uuid not null references answer,
  side text not null,
  -- Those of the answer, copied so that sums need not look it up.
  yard_id uuid not null,
  horse_id uuid not null,
  session_id uuid not null,
  person_id uuid not null,
  step text not null,
  day date not null,
  chance double precision not null,
  light boolean not null,
  tight boolean,
  primary key (answer_id, side)
);
create index prediction_horse on prediction (horse_id, step);
create index prediction_yard on prediction (yard_id, day);
alter table prediction enable row level security;
alter table prediction force row level security;
create policy own_yard on prediction to still_pine_app using (yard_id = yard_now()) with check (yard_id = yard_now());
grant select, insert, update, delete on prediction to still_pine_app;

-- What was judged of a horse on a day, with what it was judged from: gates and plan are dear to make.
alter table horse_day add column judged_from text, add column judged json;
grant update on horse_day to still_pine_app;

-- Down Migration
drop table prediction;
alter table horse_day drop column judged_from, drop column judged;
alter table pen_session drop column circumstances, drop column promised;
