-- Up Migration
-- A device that was away asks what was taken back since it last read a horse.
alter table voiding add column seq bigint generated always as identity;
create index voiding_seq on voiding (yard_id, seq);

-- The browsers somebody signed in on; one that is lost can be cut off.
create table device (
  person_id uuid not null references person,
  id uuid not null,
  yard_id uuid not null references yard,
  words text not null,
  seen_at timestamptz not null,
  cut_off_at timestamptz,
  primary key (person_id, id)
);
alter table device enable row level security;
alter table device force row level security;
create policy own_yard on device to still_pine_app using (yard_id = yard_now()) with check (yard_id = yard_now());
grant select, insert, update on device to still_pine_app;

-- Whose sign-in this is now also says whether its device was cut off; ids and a yes or no, as before.
create policy lookup on device for select to still_pine_lookup using (true);
grant select on device to still_pine_lookup;
create function find_yard_of_sign_in(person uuid, device uuid, out yard_id uuid, out cut_off boolean)
  language sql stable security definer set search_path = public as
  $$ select p.yard_id, d.cut_off_at is not null
     from person p left join device d on d.person_id = p.id and d.id = device where p.id = person $$;
grant create on schema public to still_pine_lookup;
alter function find_yard_of_sign_in owner to still_pine_lookup;
revoke create on schema public from still_pine_lookup;
revoke all on function find_yard_of_sign_in from public;
grant execute on function find_yard_of_sign_in to still_pine_app;
drop function find_yard_of_person;

-- Down Migration
create function find_yard_of_person(person uuid) returns uuid
  language sql stable security definer set search_path = public as
  $$ select p.yard_id from person p where p.id = person $$;
grant create on schema public to still_pine_lookup;
alter function find_yard_of_person owner to still_pine_lookup;
revoke create on schema public from still_pine_lookup;
revoke all on function find_yard_of_person from public;
grant execute on function find_yard_of_person to still_pine_app;
drop function find_yard_of_sign_in;
drop table device;
drop index voiding_seq;
alter table voiding drop column seq;
