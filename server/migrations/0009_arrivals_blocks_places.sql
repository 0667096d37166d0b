-- Up Migration
-- What an arrival check showed, as it was worked out on its day.
create table arrival (
  id uuid primary key,
  yard_id uuid not null references yard,
  horse_id uuid not null references horse,
  person_id uuid not null references person,
  on_day date not null,
  result jsonb not null
);
create index arrival_horse on arrival (horse_id, on_day);

-- A stretch of a horse's life; closing it freezes how it stood.
create table block (
  id uuid primary key,
  yard_id uuid not null references yard,
  horse_id uuid not null references horse,
  person_id uuid not null references person,
  kind text not null,
  from_day date not null,
  until_day date,
  worries text not null,
  reward text not null,
  note text not null,
  snapshot jsonb,
  version integer not null,
  check (until_day is null or until_day >= from_day)
);
create unique index block_open on block (horse_id) where until_day is null;
create index block_horse on block (horse_id, from_day);

create table place (
  id uuid primary key,
  yard_id uuid not null references yard,
  name text not null,
  suits text[] not null,
  home boolean not null,
  note text not null,
  version integer not null,
  unique (yard_id, name)
);

do $$
declare
  name text;
begin
  foreach name in array array['arrival', 'block', 'place'] loop
    execute format('alter table %I enable row level security', name);
    execute format('alter table %I force row level security', name);
    execute format(
      'create policy own_yard on %I to still_pine_app using (yard_id = yard_now()) with check (yard_id = yard_now())',
      name);
  end loop;
end $$;

grant select, insert on arrival to still_pine_app;
grant select, insert, update on block, place to still_pine_app;

-- Down Migration
drop table place, block, arrival;
