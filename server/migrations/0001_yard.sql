-- Up Migration
-- Two roles beside the owner: the application's, which row-level security binds, and a no-login one that owns the
-- few look-ups made before a yard is known.
do $$
begin
  if not exists (select from pg_roles where rolname = 'still_pine_app') then
    create role still_pine_app login;
  end if;
  if not exists (select from pg_roles where rolname = 'still_pine_lookup') then
    create role still_pine_lookup nologin;
  end if;
exception when duplicate_object then null; -- another instance was first
end $$;

grant usage on schema public to still_pine_app, still_pine_lookup;

create function yard_now() returns uuid language sql stable as
  $$ select nullif(current_setting('app.yard_id', true), '')::uuid $$;
create function person_now() returns uuid language sql stable as
  $$ select nullif(current_setting('app.person_id', true), '')::uuid $$;

create table yard (
  id uuid primary key,
  name text not null,
  time_zone text not null,
  demo boolean not null default false,
  created_at timestamptz not null
);

create table person (
  id uuid primary key,
  yard_id uuid not null references yard,
  name text not null,
  email text not null,
  role text not null check (role in ('starter', 'helper', 'owner')),
  password_hash text,
  settings jsonb not null,
  created_at timestamptz not null
);
create unique index person_email on person (lower(email));

create table program (
  id uuid primary key,
  yard_id uuid not null references yard,
  school text not null,
  version integer not null,
  document jsonb not null,
  unique (yard_id, school, version)
);

create table horse (
  id uuid primary key,
  yard_id uuid not null references yard,
  program_id uuid not null references program,
  name text not null,
  born date,
  sex text not null,
  kind text not null,
  marks text not null,
  origin text not null,
  handled boolean not null,
  arrived date not null,
  version integer not null,
  created_at timestamptz not null,
  -- Where the last evidence of any of its tracks stands, so that a late answer is noticed in one look.
  last_at timestamptz,
  last_seq bigint
);
create index horse_yard on horse (yard_id, created_at, id);

-- Signed-in browsers: ids alone, so it needs no yard to be read.
create table sign_in (
  sid varchar primary key,
  sess json not null,
  expire timestamp(6) not null
);
create index sign_in_expire on sign_in (expire);

-- Down Migration
drop table sign_in, horse, program, person, yard;
