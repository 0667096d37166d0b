-- Up Migration
-- Every server process hears, as a change is committed, of which yard and which horse it was.
create function tell_of_change() returns trigger language plpgsql as $$
begin
  perform pg_notify(
    'yard_changed',
    json_build_object('yardId', new.yard_id, 'horseId', to_jsonb(new) ->> tg_argv[0])::text
  );
  return null;
end $$;
create trigger told after insert or update on horse for each row execute function tell_of_change('id');
create trigger told after insert or update on pen_session for each row execute function tell_of_change('horse_id');
create trigger told after insert or update on arrangement for each row execute function tell_of_change('horse_id');
create trigger told after insert or update on person for each row execute function tell_of_change();
create trigger told after insert or update on place for each row execute function tell_of_change();
create trigger told after insert or update on program for each row execute function tell_of_change();
