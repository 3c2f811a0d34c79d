-- A club made up for measuring: so many lifters, two years of blocks, each day lifted up to yesterday, and a slip for
-- every third lifter. Figures mean nothing; their number does. Variable: lifters.
\set ON_ERROR_STOP on
begin;
select setseed(0.5);

insert into club (name, zone) values ('Made up for measuring', 'Europe/London') returning id as club \gset
insert into account (club_id, username, name, password_hash, role)
  values (:club, 'load', 'Measuring', '{noop}made-up-for-measuring', 'HEAD_COACH') returning id as coach \gset
insert into kit (club_id, name, bar_name, bar_mass, collars) values (:club, 'Gym', '20 kg bar', 20, 0) returning id as kit \gset
insert into kit_plate (club_id, kit_id, figure, cast_in, pairs)
  select :club, :kit, figure, 'KG', 4 from unnest(array[25, 20, 15, 10, 5, 2.5, 1.25]) as figure;

insert into lifter (club_id, name, coach_id, kit_id, unit, rounding, share_of_estimate)
  select :club, 'Lifter ' || to_char(n, 'FM000'), :coach, :kit, 'KG', 'NEAREST', 95 from generate_series(1, :lifters) as n;

insert into lift_numbers (club_id, lifter_id, lift, working_max, starting_max, starting_on)
  select :club, l.id, lift, round(max * 0.95 / 2.5) * 2.5, max, current_date - 730
  from lifter l, (values ('squat', 180), ('bench-press', 120), ('deadlift', 210), ('overhead-press', 70)) as m (lift, max)
  where l.club_id = :club;

-- eight blocks of thirteen weeks, the last begun five weeks ago
insert into block (club_id, lifter_id, name, start_on, weeks)
  select :club, l.id, 'Block ' || n, current_date - 35 - 91 * (8 - n), 13
  from lifter l, generate_series(1, 8) as n where l.club_id = :club;

insert into block_day (club_id, block_id, position, name, day_offset)
  select :club, b.id, place - 1, 'Day ' || place, days_in
  from block b, unnest(array[0, 1, 3, 5]) with ordinality as days (days_in, place) where b.club_id = :club;

insert into slot (club_id, block_day_id, position, letter, lift)
  select :club, d.id, s, chr(65 + s), (array['squat', 'bench-press', 'deadlift', 'overhead-press'])[1 + (d.position + s / 2) % 4]
  from block_day d, generate_series(0, 3) as s where d.club_id = :club;

insert into dose_cell (club_id, slot_id, week, shorthand)
  select :club, s.id, w, case s.position when 0 then '1 @8' when 1 then '4x5 -20%' else '3x6 ' || (65 + w) || '%' end
  from slot s, generate_series(0, 12) as w where s.club_id = :club;

insert into training_session (club_id, lifter_id, held_on, plan_day, plan_week, started_at, finished_at)
  select :club, b.lifter_id, held, d.id, w, held + time '18:00', held + time '19:30'
  from block b join block_day d on d.block_id = b.id, generate_series(0, 12) as w,
    lateral (select b.start_on + 7 * w + d.day_offset) as h (held)
  where b.club_id = :club and held < current_date;

-- a warm-up and four work sets a slot
insert into logged_set (club_id, session_id, token, task, lift, load, reps, effort, logged_at)
  select :club, t.id, gen_random_uuid(), s.letter || case n when 0 then '.w1' else '.' || n end, s.lift,
    round((m.starting_max * case n when 0 then 0.5 else 0.7 + 0.2 * random() end)::numeric / 2.5) * 2.5,
    case s.position when 0 then 1 else 5 end,
    case n when 0 then 'easy' else (array['6.5', '7', '7.5', '8', '8.5'])[1 + floor(random() * 5)::int] end,
    t.started_at + n * interval '3 minutes'
  from training_session t join slot s on s.block_day_id = t.plan_day
    join lift_numbers m on m.lifter_id = t.lifter_id and m.lift = s.lift, generate_series(0, 4) as n
  where t.club_id = :club;

insert into change_entry (club_id, lifter_id, made_at, made_by, made_by_name, kind, subject, before, after)
  select :club, l.id, now() - n * interval '7 days', :coach, 'Measuring', 'CALL_TAKEN', array['squat'], '170 kg', '172.5 kg'
  from lifter l, generate_series(1, 100) as n where l.club_id = :club;

insert into slip (club_id, lifter_id, lift, session_id, status, opened_at, before, proposed)
  select :club, t.lifter_id, 'squat', max(t.id), 'OPEN', now(), 170, 172.5
  from training_session t where t.club_id = :club and t.lifter_id % 3 = 0 group by t.lifter_id;

commit;
vacuum analyze;
select count(*) || ' sets in ' || count(distinct session_id) || ' sessions' from logged_set where club_id = :club;
