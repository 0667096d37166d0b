-- Up Migration
-- A horse carries numbers of its own beside its tracks: talent, ease and speed, and what was asked last. `null` until
-- its tracks are worked out by the law that knows them; those that stand serve until then.
alter table horse add column standing jsonb;

-- Where a track started, and how it varies together with the horse's own numbers. What stood before had every track
-- start alike and knew of no horse.
alter table track
  add column start jsonb not null
    default '{"ability": {"mean": -2.2, "sd": 1.2}, "calm": {"mean": -0.5, "sd": 1.2}}',
  add column covariance jsonb not null default '{"talent": 0, "speed": 0, "ease": 0}';
alter table track alter column start drop default, alter column covariance drop default;

-- What was predicted of the calm: that it would not be tight. `null` where it was predicted before that was kept.
alter table prediction add column calm_chance double precision check (calm_chance between 0 and 1);
