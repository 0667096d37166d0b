-- Up Migration
-- Who is suspended or removed signs in no more; what they logged stays theirs.
alter table person add column standing text not null default 'here'
  check (standing in ('here', 'suspended', 'removed'));
-- The address of somebody who was removed may be used again.
drop index person_email;
create unique index person_email on person (lower(email)) where standing <> 'removed';

create or replace function find_person_by_email(address text, out person_id uuid, out yard_id uuid)
  language sql stable security definer set search_path = public, pg_temp as
  $$ select p.id, p.yard_id from person p where lower(p.email) = lower(address) and p.standing <> 'removed' $$;
create or replace function find_sign_in(person uuid, device uuid, out yard_id uuid, out time_zone text, out role text,
    out epoch integer, out cut_off boolean)
  language sql stable security definer set search_path = public, pg_temp as
  $$ select p.yard_id, y.time_zone, p.role, p.epoch, d.cut_off_at is not null
     from person p join yard y on y.id = p.yard_id
     left join device d on d.person_id = p.id and d.id = device where p.id = person and p.standing = 'here' $$;

-- A link by which somebody chooses a new password, once. What is in the link itself is kept nowhere: the server signs it.
create table reset_link (
  yard_id uuid not null references yard,
  id uuid not null,
  person_id uuid not null,
  made_at timestamptz not null,
  until timestamptz not null,
  used_at timestamptz,
  primary key (yard_id, id),
  foreign key (yard_id, person_id) references person (yard_id, id)
);

-- A link by which somebody without a sign-in reads the report of one horse until a day.
create table report_link (
  yard_id uuid not null references yard,
  id uuid not null,
  horse_id uuid not null,
  person_id uuid not null,
  made_at timestamptz not null,
  until_day date not null,
  revoked_at timestamptz,
  wrong_codes integer not null default 0,
  read_at timestamptz,
  primary key (yard_id, id),
  foreign key (yard_id, horse_id) references horse (yard_id, id),
  foreign key (yard_id, person_id) references person (yard_id, id)
);
create index report_link_horse on report_link (yard_id, horse_id);

do $$
declare
  name text;
begin
  foreach name in array array['reset_link', 'report_link'] loop
    execute format('alter table %I enable row level security', name);
    execute format('alter table %I force row level security', name);
    execute format(
      'create policy own_yard on %I to still_pine_app using (yard_id = yard_now()) with check (yard_id = yard_now())',
      name);
    execute format('create policy lookup on %I for select to still_pine_lookup using (true)', name);
    execute format('grant select, insert, update on %I to still_pine_app', name);
    execute format('grant select on %I to still_pine_lookup', name);
  end loop;
end $$;

-- Whose link this is, before a yard is known: ids alone.
create function find_reset_link(link uuid, out yard_id uuid, out person_id uuid)
  language sql stable security definer set search_path = public, pg_temp as
  $$ select r.yard_id, r.person_id from reset_link r where r.id = link $$;
create function find_report_link(link uuid, out yard_id uuid, out person_id uuid)
  language sql stable security definer set search_path = public, pg_temp as
  $$ select r.yard_id, r.person_id from report_link r where r.id = link $$;
grant create on schema public to still_pine_lookup;
alter function find_reset_link owner to still_pine_lookup;
alter function find_report_link owner to still_pine_lookup;
revoke create on schema public from still_pine_lookup;
revoke all on function find_reset_link, find_report_link from public;
grant execute on function find_reset_link, find_report_link to still_pine_app;

-- Down Migration
drop function find_reset_link, find_report_link;
drop table report_link, reset_link;
alter table person drop column standing cascade;
