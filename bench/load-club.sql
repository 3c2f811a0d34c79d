-- A club made up for measuring: so many lifters with two years of blocks, each day lifted up to yesterday, and a slip for
-- every third of them; and other coaches' lifters up to the whole club's number, with a profile each and no block.
-- Figures mean nothing; their number does. Variables: lifters, club_size.
\set ON_ERROR_STOP on
begin;
select setseed(0.5);

insert into club (name, zone) values ('Made up for measuring', 'Europe/London') returning id as club \gset
insert into account (club_id, username, name, password_hash, role)
  values (:club, 'load', 'Measuring', '{noop}made-up-for-measuring', 'HEAD_COACH') returning id as coach \gset
insert into gym (club_id, name, collars, unit) values (:club, 'Gym', 0, 'KG') returning id as gym \gset
insert into piece (club_id, gym_id, shelf, fields) values
  (:club, :gym, 'BARS', '{"IMPLEMENT": "BARBELL", "NAME": "20 kg bar", "MASS": "20 kg", "FIT_FOR_PINS": "on"}'),
  (:club, :gym, 'BARS', '{"IMPLEMENT": "LOG", "NAME": "Log", "MASS": "30 kg", "FIT_FOR_PINS": "on"}');
insert into piece (club_id, gym_id, shelf, fields)
  select :club, :gym, 'PLATES', jsonb_build_object('MASS', figure || ' kg', 'COUNT', '8')
  from unnest(array[25, 20, 15, 10, 5, 2.5, 1.25]) as figure;
insert into piece (club_id, gym_id, shelf, fields)
  select :club, :gym, 'PIECES',
    jsonb_build_object('IMPLEMENT', 'DUMBBELL', 'NOMINAL', n * 2.5 || ' kg', 'MASS', n * 2.5 + 2 || ' kg')
  from generate_series(2, 20) as n;

insert into lifter (club_id, name, coach_id, unit, rounding, share_of_estimate, sex, birth_year, sport, health_no)
  select :club, 'Lifter ' || to_char(n, 'FM000'), :coach, 'KG', 'NEAREST', 95, 'FEMALE', 1990, 'BOTH', '{HEART}'
  from generate_series(1, :lifters) as n;

insert into lift_numbers (club_id, lifter_id, lift, working_max)
  select :club, l.id, lift, round(max * 0.95 / 2.5) * 2.5
  from lifter l, (values ('squat', 180), ('bench-press', 120), ('deadlift', 210), ('overhead-press', 70)) as m (lift, max)
  where l.club_id = :club;
insert into recorded_max (club_id, lifter_id, lift, kind, load, unit, reps, on_date, entered_at, entered_by)
  select :club, n.lifter_id, n.lift, kind, n.working_max * part, 'KG', 1, current_date - days, now(), 'Measuring'
  from lift_numbers n, (values ('TESTED', 1.05, 730), ('CONTEST', 1.03, 400), ('GOAL', 1.15, -60)) as k (kind, part, days)
  where n.club_id = :club;

-- the rest of the club: five coaches' lifters
insert into account (club_id, username, name, password_hash, role)
  select :club, 'load-' || n, 'Coach ' || n, '{noop}made-up-for-measuring', 'COACH' from generate_series(1, 5) as n;
insert into lifter (club_id, name, coach_id, unit, rounding, share_of_estimate, sport)
  select :club, 'Other ' || to_char(n, 'FM000'), a.id, 'LB', 'DOWN', 95, 'STRONGMAN'
  from generate_series(1, greatest(0, :club_size - :lifters)) as n
    join account a on a.club_id = :club and a.username = 'load-' || (1 + n % 5);

insert into lifter_gym (club_id, lifter_id, gym_id, position) select :club, id, :gym, 0 from lifter where club_id = :club;
insert into measurement (club_id, lifter_id, kind, on_date, figure)
  select :club, l.id, 'BODY_MASS', current_date - 7 * n, 70 + random() * 20
  from lifter l, generate_series(1, 52) as n where l.club_id = :club;
insert into ache (club_id, lifter_id, place, since) select :club, id, 'KNEE', current_date - 20
  from lifter where club_id = :club and id % 4 = 0;

-- eight blocks of thirteen weeks, the last begun five weeks ago
insert into block (club_id, lifter_id, name, start_on, weeks)
  select :club, l.id, 'Block ' || n, current_date - 35 - 91 * (8 - n), 13
  from lifter l, generate_series(1, 8) as n where l.club_id = :club and l.coach_id = :coach;

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
    round((1.05 * m.working_max * case n when 0 then 0.5 else 0.7 + 0.2 * random() end)::numeric / 2.5) * 2.5,
    case s.position when 0 then 1 else 5 end,
    case n when 0 then 'easy' else (array['6.5', '7', '7.5', '8', '8.5'])[1 + floor(random() * 5)::int] end,
    t.started_at + n * interval '3 minutes'
  from training_session t join slot s on s.block_day_id = t.plan_day
    join lift_numbers m on m.lifter_id = t.lifter_id and m.lift = s.lift, generate_series(0, 4) as n
  where t.club_id = :club;

insert into change_entry (club_id, lifter_id, made_at, made_by, made_by_name, kind, subject, before, after)
  select :club, l.id, now() - n * interval '7 days', :coach, 'Measuring', 'CALL_TAKEN', array['squat'], '170 kg', '172.5 kg'
  from lifter l, generate_series(1, 100) as n where l.club_id = :club and l.coach_id = :coach;

insert into slip (club_id, lifter_id, lift, session_id, status, opened_at, rule, raises, size)
  select :club, t.lifter_id, 'squat', max(t.id), 'OPEN', now(), 'estimate-apart', true, 1.5
  from training_session t where t.club_id = :club and t.lifter_id % 3 = 0 group by t.lifter_id;

commit;
vacuum analyze;
select count(*) || ' sets in ' || count(distinct session_id) || ' sessions' from logged_set where club_id = :club;
