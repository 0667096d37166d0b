-- Up Migration
-- What is arranged for every week: the yard's rules, or what holds of one of its people, places or horses.
create table arranged_part (
  yard_id uuid not null references yard,
  id uuid not null,
  about text not null check (about in ('rules', 'person', 'place', 'horse')),
  arranged jsonb not null,
  version integer not null,
  primary key (yard_id, id)
);

-- A week as somebody left it: pins, wishes, how good it is. Its visits are rows of their own.
create table planned_week (
  yard_id uuid not null references yard,
  first_day date not null,
  person_id uuid not null,
  at timestamptz not null,
  document jsonb not null,
  version integer not null,
  primary key (yard_id, first_day),
  foreign key (yard_id, person_id) references person (yard_id, id)
);

-- A visit keeps its id through every solve that keeps its horse and day; calendars know it by that, and by how often
-- its time, its place or whether it stands was changed.
create table visit (
  yard_id uuid not null references yard,
  id uuid not null,
  first_day date not null,
  horse_id uuid not null,
  day date not null,
  start_at text not null,
  minutes integer not null check (minutes > 0),
  part text not null,
  use text not null,
  load boolean not null,
  due text,
  lead_id uuid not null,
  helper_id uuid,
  place_id uuid,
  reasons jsonb not null,
  sequence integer not null,
  changed_at timestamptz not null,
  taken_off boolean not null,
  primary key (yard_id, id),
  foreign key (yard_id, first_day) references planned_week (yard_id, first_day),
  foreign key (yard_id, horse_id) references horse (yard_id, id),
  foreign key (yard_id, lead_id) references person (yard_id, id),
  foreign key (yard_id, helper_id) references person (yard_id, id),
  foreign key (yard_id, place_id) references place (yard_id, id)
);
create index visit_week on visit (yard_id, first_day);
create index visit_day on visit (yard_id, day);

-- When somebody is busy, as their own calendar says: start and end, and which file that was.
create table busy (
  yard_id uuid not null references yard,
  person_id uuid not null,
  hash text not null,
  times jsonb not null,
  primary key (yard_id, person_id),
  foreign key (yard_id, person_id) references person (yard_id, id)
);

-- An address by which a calendar reads a person's visits; only what it is known by is kept.
create table feed (
  yard_id uuid not null references yard,
  person_id uuid not null,
  token_hash bytea not null unique,
  since timestamptz not null,
  primary key (yard_id, person_id),
  foreign key (yard_id, person_id) references person (yard_id, id)
);

do $$
declare
  name text;
begin
  foreach name in array array['arranged_part', 'planned_week', 'visit', 'busy', 'feed'] loop
    execute format('alter table %I enable row level security', name);
    execute format('alter table %I force row level security', name);
    execute format(
      'create policy own_yard on %I to still_pine_app using (yard_id = yard_now()) with check (yard_id = yard_now())',
      name);
    execute format('grant select, insert, update on %I to still_pine_app', name);
  end loop;
end $$;
grant delete on feed to still_pine_app;
create policy lookup on feed for select to still_pine_lookup using (true);
grant select on feed to still_pine_lookup;

create trigger told after insert or update on arranged_part for each row execute function tell_of_change();
create trigger told after insert or update on planned_week for each row execute function tell_of_change();

-- Before a yard is known: whose calendar this is.
create function find_feed(hash bytea, out yard_id uuid, out person_id uuid)
  language sql stable security definer set search_path = public, pg_temp as
  $$ select f.yard_id, f.person_id from feed f join person p on p.id = f.person_id and p.standing = 'here'
     where f.token_hash = hash $$;
grant create on schema public to still_pine_lookup;
alter function find_feed owner to still_pine_lookup;
revoke create on schema public from still_pine_lookup;
revoke all on function find_feed from public;
grant execute on function find_feed to still_pine_app;


-- Down Migration
drop function find_feed;
drop table feed, busy, visit, planned_week, arranged_part;
