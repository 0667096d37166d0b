-- Up Migration
-- A forgotten WHERE leaks nothing: every table shows the rows of the yard set for the transaction and no others.
do $$
declare
  name text;
begin
  foreach name in array array[
    'person', 'program', 'horse', 'pen_session', 'answer', 'voiding', 'track', 'track_day',
    'care_check', 'incident', 'day_confirmation', 'overrule'
  ] loop
    execute format('alter table %I enable row level security', name);
    execute format('alter table %I force row level security', name);
    execute format(
      'create policy own_yard on %I to still_pine_app using (yard_id = yard_now()) with check (yard_id = yard_now())',
      name);
  end loop;
end $$;

alter table yard enable row level security;
alter table yard force row level security;
create policy own_yard on yard to still_pine_app using (id = yard_now()) with check (id = yard_now());

grant select, insert, update on person, horse, pen_session, day_confirmation to still_pine_app;
grant select, insert on yard, program, care_check, incident, overrule to still_pine_app;
-- No update and no delete: history stays as it was written.
grant select, insert on answer, voiding to still_pine_app;
grant select, insert, update, delete on track, track_day, sign_in to still_pine_app;

-- The look-ups made before a yard is known give ids only.
create policy lookup on person for select to still_pine_lookup using (true);
create policy lookup on yard for select to still_pine_lookup using (true);
grant select on person, yard to still_pine_lookup;

create function find_person_by_email(address text, out person_id uuid, out yard_id uuid)
  language sql stable security definer set search_path = public as
  $$ select p.id, p.yard_id from person p where lower(p.email) = lower(address) $$;
create function find_yard_of_person(person uuid) returns uuid
  language sql stable security definer set search_path = public as
  $$ select p.yard_id from person p where p.id = person $$;
create function any_yard() returns uuid
  language sql stable security definer set search_path = public as
  $$ select id from yard order by created_at limit 1 $$;

-- Giving a function away needs membership in the receiving role and its right to create, for this moment only.
grant create on schema public to still_pine_lookup;
do $$
begin
  execute format('grant still_pine_lookup to %I', current_user);
end $$;
alter function find_person_by_email owner to still_pine_lookup;
alter function find_yard_of_person owner to still_pine_lookup;
alter function any_yard owner to still_pine_lookup;
revoke create on schema public from still_pine_lookup;
revoke all on function find_person_by_email, find_yard_of_person, any_yard from public;
grant execute on function find_person_by_email, find_yard_of_person, any_yard to still_pine_app;

-- Down Migration
drop function find_person_by_email, find_yard_of_person, any_yard;
