-- Up Migration
-- What may be told of an answer besides the answer; none of it is evidence.
alter table answer
  add column ending text,
  add column slip text,
  add column zone text,
  add column aids integer,
  add column peak_newtons real,
  add column release_seconds real;

-- How many days a horse was worked up to a day: counted on that day's first look, dropped by a new answer.
create table horse_day (
  yard_id uuid not null references yard,
  horse_id uuid not null references horse,
  day date not null,
  work_days integer not null,
  primary key (horse_id, day)
);
alter table horse_day enable row level security;
alter table horse_day force row level security;
create policy own_yard on horse_day to still_pine_app using (yard_id = yard_now()) with check (yard_id = yard_now());
grant select, insert, delete on horse_day to still_pine_app;

-- A school says in whole what it does and why, and by what it grades.
update program set document = jsonb_set(document - 'frightRule' - 'release' - 'reward' - 'leadPosition',
    '{pace,gradedBy}', '"phases"')
  || jsonb_build_object('manner', '{"begins":{"words":"Direction loose in the pen, the turn in, and drawing to you.","why":"A horse that can leave and is sent, turned and drawn learns that you are the one who decides; calm comes after."},"feel":{"words":"Rhythmic, bumping, each phase about double the one before; never a dead pull.","why":"A horse leans on what is steady and looks for the end of what comes and goes."},"release":{"words":"At the first try.","why":"What it was doing when the feel ended is what it will offer next."},"fright":{"words":"Keep the same level until the feet are still and it loosens, then leave.","why":"Going away while it runs would teach it that running works."},"reward":{"words":"Rest, slack and a rub.","why":"Rest after movement is worth most to it, and it needs nothing in your pocket."},"lead":{"words":"Behind you, on a slack rope.","why":"You can be seen and followed, and your back is clear of its shoulder."},"halter":{"words":"After it draws to you.","why":"A horse that comes by itself puts its head down into the halter."},"build":{"words":"Big at first, then refined.","why":"The whole movement is easier to find than half of it."},"leaveOff":{"words":"On a clearly better answer.","why":"The last thing done is kept overnight."},"bit":{"words":"After all the halter work.","why":"The mouth only learns a new place for old answers."},"sitting":{"words":"From the saddle.","why":"It has worn it through every pace, and it holds you in a jump."},"tying":{"words":"In stages with a neck collar.","why":"Giving to a steady pull is learnt before there is one."}}'::jsonb)
where not document ? 'manner';

-- Down Migration
update program set document = jsonb_set(document - 'manner' #- '{pace,gradedBy}', '{frightRule}',
    document #> '{manner,fright,words}')
  || jsonb_build_object('release', document #> '{manner,release,words}', 'reward', document #> '{manner,reward,words}',
    'leadPosition', document #> '{manner,lead,words}');
drop table horse_day;
alter table answer
  drop column ending, drop column slip, drop column zone, drop column aids, drop column peak_newtons,
  drop column release_seconds;
