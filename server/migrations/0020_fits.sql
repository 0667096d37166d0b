-- Up Migration
-- The values that a yard's own log makes likelier than the defaults, one version each time they were looked for, with how
-- well each said the days that were held out. Nothing here moves a need or a rule of safety.
create table fit (
  yard_id uuid not null references yard,
  version integer not null check (version > 0),
  made_at timestamptz not null,
  -- Those of the log it was fitted to.
  answers integer not null check (answers >= 0),
  fitted jsonb not null,
  -- Mean log-likelihood of an answer on the days held out: with these values, and with those in use then.
  held_out double precision not null,
  in_use double precision not null,
  primary key (yard_id, version)
);
alter table fit enable row level security;
alter table fit force row level security;
create policy own_yard on fit to still_pine_app using (yard_id = yard_now()) with check (yard_id = yard_now());
grant select, insert on fit to still_pine_app;

-- Which version the yard judges by, and by which each horse was worked out last; `null` for the defaults.
alter table yard add column fit_version integer,
  add foreign key (id, fit_version) references fit (yard_id, version);
alter table horse add column fit_version integer,
  add foreign key (yard_id, fit_version) references fit (yard_id, version);
grant update (fit_version) on yard to still_pine_app;
