-- Up Migration
-- What was kept for a day is made again, below, in one table.
drop table track_day, horse_day;

-- Keys do not look at row-level security: each carries its yard, so that nobody's id can be claimed, or be in the way,
-- across a wall. (A person's id stays the only one of its kind: whose it is is asked before a yard is known.)
create function wall_keys() returns void language plpgsql as $$
declare
  link record;
begin
  create temporary table link on commit drop as
    select * from (values
      ('program', 'made_by', 'person'), ('horse', 'program_id', 'program'),
      ('pen_session', 'horse_id', 'horse'), ('pen_session', 'person_id', 'person'),
      ('answer', 'horse_id', 'horse'), ('answer', 'session_id', 'pen_session'), ('answer', 'person_id', 'person'),
      ('voiding', 'answer_id', 'answer'), ('voiding', 'person_id', 'person'), ('track', 'horse_id', 'horse'),
      ('care_check', 'horse_id', 'horse'), ('care_check', 'person_id', 'person'),
      ('incident', 'horse_id', 'horse'), ('incident', 'person_id', 'person'),
      ('day_confirmation', 'horse_id', 'horse'), ('day_confirmation', 'person_id', 'person'),
      ('overrule', 'horse_id', 'horse'), ('overrule', 'person_id', 'person'), ('correction', 'person_id', 'person'),
      ('arrival', 'horse_id', 'horse'), ('arrival', 'person_id', 'person'),
      ('block', 'horse_id', 'horse'), ('block', 'person_id', 'person'),
      ('horse_owner', 'horse_id', 'horse'), ('horse_owner', 'person_id', 'person'),
      ('device', 'person_id', 'person'), ('prediction', 'answer_id', 'answer')) as l(of, col, target);
  for link in select * from link loop
    execute format('alter table %I drop constraint %I', link.of, link.of || '_' || link.col || '_fkey');
  end loop;

  alter table person add unique (yard_id, id);
  alter table program drop constraint program_pkey, add primary key (yard_id, id);
  alter table horse drop constraint horse_pkey, add primary key (yard_id, id);
  alter table pen_session drop constraint pen_session_pkey, add primary key (yard_id, id);
  alter table answer drop constraint answer_pkey, add primary key (yard_id, id);
  alter table voiding drop constraint voiding_pkey, add primary key (yard_id, id),
    drop constraint voiding_answer_id_key, add unique (yard_id, answer_id);
  alter table track drop constraint track_pkey, add primary key (yard_id, horse_id, step, side);
  alter table care_check drop constraint care_check_pkey, add primary key (yard_id, id);
  alter table incident drop constraint incident_pkey, add primary key (yard_id, id);
  alter table day_confirmation drop constraint day_confirmation_pkey, add primary key (yard_id, horse_id, day);
  alter table overrule drop constraint overrule_pkey, add primary key (yard_id, id);
  alter table correction drop constraint correction_pkey, add primary key (yard_id, id);
  alter table arrival drop constraint arrival_pkey, add primary key (yard_id, id);
  alter table block drop constraint block_pkey, add primary key (yard_id, id);
  alter table place drop constraint place_pkey, add primary key (yard_id, id);
  alter table horse_owner drop constraint horse_owner_pkey, add primary key (yard_id, horse_id);
  alter table prediction drop constraint prediction_pkey, add primary key (yard_id, answer_id, side);

  for link in select * from link loop
    execute format('alter table %I add constraint %I foreign key (yard_id, %I) references %I (yard_id, id)',
      link.of, link.of || '_' || link.col || '_fkey', link.col, link.target);
  end loop;
end $$;
select wall_keys();
drop function wall_keys();
drop index block_open;
create unique index block_open on block (yard_id, horse_id) where until_day is null;

-- A name looked up by a function that sees more than its caller is never one the caller made.
alter function find_person_by_email set search_path = public, pg_temp;
alter function find_yard_of_sign_in set search_path = public, pg_temp;
alter function any_yard set search_path = public, pg_temp;
alter function all_yards set search_path = public, pg_temp;

-- Sign-ins from before a change of password, address or part have ended.
alter table person add column epoch integer not null default 0;
create function find_sign_in(person uuid, device uuid, out yard_id uuid, out time_zone text, out role text,
    out epoch integer, out cut_off boolean)
  language sql stable security definer set search_path = public, pg_temp as
  $$ select p.yard_id, y.time_zone, p.role, p.epoch, d.cut_off_at is not null
     from person p join yard y on y.id = p.yard_id
     left join device d on d.person_id = p.id and d.id = device where p.id = person $$;
grant create on schema public to still_pine_lookup;
alter function find_sign_in owner to still_pine_lookup;
revoke create on schema public from still_pine_lookup;
revoke all on function find_sign_in from public;
grant execute on function find_sign_in to still_pine_app;
drop function find_yard_of_sign_in;

-- Every change of what is known of a horse raises its revision: what was judged of an earlier one is judged again.
alter table horse add column revision bigint not null default 0;
create function raise_revision() returns trigger language plpgsql as $$
begin
  new.revision := old.revision + 1;
  return new;
end $$;
create trigger revision before update on horse for each row execute function raise_revision();
create function touch_horse() returns trigger language plpgsql as $$
begin
  update horse set revision = revision where yard_id = new.yard_id and id = new.horse_id;
  return null;
end $$;
create trigger touches_horse after insert or update on care_check for each row execute function touch_horse();
create trigger touches_horse after insert or update on incident for each row execute function touch_horse();
create trigger touches_horse after insert or update on day_confirmation for each row execute function touch_horse();
create trigger touches_horse after insert or update on overrule for each row execute function touch_horse();
create trigger touches_horse after insert or update on arrival for each row execute function touch_horse();
create trigger touches_horse after insert or update on block for each row execute function touch_horse();

-- What was judged of a horse for a day by one version of the product: of which revision, in whole and for Today.
create table horse_day (
  yard_id uuid not null,
  horse_id uuid not null,
  day date not null,
  engine text not null,
  revision bigint not null,
  work_days integer not null,
  judged json not null,
  today json not null,
  primary key (yard_id, horse_id, day, engine),
  foreign key (yard_id, horse_id) references horse (yard_id, id)
);
alter table horse_day enable row level security;
alter table horse_day force row level security;
create policy own_yard on horse_day to still_pine_app using (yard_id = yard_now()) with check (yard_id = yard_now());
grant select, insert, update, delete on horse_day to still_pine_app;
