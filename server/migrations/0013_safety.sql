-- Up Migration
-- What says what may be asked of a horse: an age nobody has papers for, how it is ridden, and that it has left.
alter table horse
  add column estimate jsonb,
  add column feral boolean not null default false,
  add column bitted boolean not null default false,
  add column height_cm real,
  add column archived jsonb;

-- A vet's hold says what it leaves; a record can be taken back, and stays to be read.
alter table care_check add column leaves text, add column withdrawn jsonb;

alter table incident
  add column rung real,
  add column mounted boolean not null default false,
  add column fell boolean not null default false,
  add column hurt text not null default 'none' check (hurt in ('none', 'person', 'horse')),
  add column withdrawn jsonb;
-- What was called serious: a person was up where the step has one, or where no step is told; or the horse fell.
update incident set
  mounted = kind in ('bolt', 'buck', 'rear', 'fall') and (step is null or step in (
    'weight-in-stirrup', 'lie-over', 'foot-in', 'over-from-fence', 'sit', 'stand-to-mount', 'led-ride',
    'ride-perimeter-led', 'ride-bend', 'ride-go-stop', 'ride-steer', 'ride-perimeter', 'ride-canter', 'ride-contact',
    'ride-poles', 'ride-out', 'ride-small-fence')),
  fell = kind in ('pull-back', 'fall')
  where serious;
alter table incident drop column serious;

-- How a record was worded before somebody corrected it.
create table correction (
  id uuid primary key,
  yard_id uuid not null references yard,
  of text not null check (of in ('check', 'incident')),
  record_id uuid not null,
  person_id uuid not null references person,
  at timestamptz not null,
  because text not null,
  was jsonb not null
);
create index correction_record on correction (record_id);
alter table correction enable row level security;
alter table correction force row level security;
create policy own_yard on correction to still_pine_app using (yard_id = yard_now()) with check (yard_id = yard_now());
grant select, insert on correction to still_pine_app;
grant update on care_check, incident to still_pine_app;

alter table overrule add column taken_back_at timestamptz;
grant update (taken_back_at) on overrule to still_pine_app;

-- Why an answer was not to be asked that day, and what is said of it.
alter table answer add column against text, add column why text;

-- No need is met by a rung that was never asked: the hardest one of every track, from the answers that stand.
update track t set tally = t.tally || jsonb_build_object('hardest', coalesce((
  select floor(max(a.rung))::int from answer a left join voiding v on v.answer_id = a.id
  where a.horse_id = t.horse_id and a.step = t.step and a.side = t.side and v.id is null and not a.uncued), 0));
delete from track_day;
update horse_day set judged_from = null, judged = null;

-- Down Migration
alter table answer drop column against, drop column why;
alter table overrule drop column taken_back_at;
drop table correction;
alter table incident add column serious boolean not null default false;
update incident set serious = mounted or fell;
alter table incident drop column rung, drop column mounted, drop column fell, drop column hurt, drop column withdrawn;
alter table care_check drop column leaves, drop column withdrawn;
alter table horse drop column estimate, drop column feral, drop column bitted, drop column height_cm,
  drop column archived;
