-- Up Migration
-- The steps a yard ticks for a horse that is to leave.
alter table horse add column hand_over text[] not null default '{}';

-- What was seen of the horse with an answer, in a word: of ease, of worry, of danger.
alter table answer add column sign text;

-- Somebody named in records that were brought in has no sign-in here.
alter table person alter column email drop not null;

-- A yard that is brought in brings its name and its time zone.
grant update (name, time_zone) on yard to still_pine_app;

-- A program nobody works by may make room for one that is brought in.
grant delete on program to still_pine_app;

-- What was written in the pen in two taps is told in full that night: where, which side, before and after.
grant update (side, place, before, after) on incident to still_pine_app;
-- A hold is lifted by giving it its last day.
grant update (until_day, note) on care_check to still_pine_app;

-- For working all tracks out again: the fourth and last look-up without a yard, and ids alone.
create function all_yards() returns setof uuid
  language sql stable security definer set search_path = public as $$ select id from yard order by created_at, id $$;
grant create on schema public to still_pine_lookup;
alter function all_yards owner to still_pine_lookup;
revoke create on schema public from still_pine_lookup;
revoke all on function all_yards from public;
grant execute on function all_yards to still_pine_app;

-- Down Migration
drop function all_yards;
revoke update (name, time_zone) on yard from still_pine_app;
revoke update (until_day, note) on care_check from still_pine_app;
revoke update (side, place, before, after) on incident from still_pine_app;
revoke delete on program from still_pine_app;
alter table person alter column email set not null;
alter table answer drop column sign;
alter table horse drop column hand_over;
