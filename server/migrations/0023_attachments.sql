-- Up Migration
-- Pictures, clips and spoken notes: what they are of and what their file must be. The files lie in a folder of their own.
create table attachment (
  yard_id uuid not null references yard,
  id uuid not null,
  horse_id uuid not null,
  person_id uuid not null,
  session_id uuid,
  answer_id uuid,
  check_id uuid,
  incident_id uuid,
  kind text not null check (kind in ('picture', 'clip', 'voice')),
  bytes integer not null check (bytes > 0),
  sha256 text not null check (sha256 ~ '^[0-9a-f]{64}$'),
  at timestamptz not null,
  day date not null,
  words text not null,
  in_report boolean not null,
  taken_back_at timestamptz,
  -- By its own content, once it is here; or why it was refused.
  type text,
  refused text,
  primary key (yard_id, id),
  foreign key (yard_id, horse_id) references horse (yard_id, id),
  foreign key (yard_id, person_id) references person (yard_id, id),
  foreign key (yard_id, session_id) references pen_session (yard_id, id),
  foreign key (yard_id, answer_id) references answer (yard_id, id),
  foreign key (yard_id, check_id) references care_check (yard_id, id),
  foreign key (yard_id, incident_id) references incident (yard_id, id),
  check (num_nonnulls(session_id, answer_id, check_id, incident_id) = 1),
  check (type is null or refused is null)
);
create index attachment_horse on attachment (yard_id, horse_id);
alter table attachment enable row level security;
alter table attachment force row level security;
create policy own_yard on attachment to still_pine_app using (yard_id = yard_now()) with check (yard_id = yard_now());
grant select, insert, update on attachment to still_pine_app;
create trigger told after insert or update on attachment for each row execute function tell_of_change('horse_id');

-- Down Migration
drop table attachment;
