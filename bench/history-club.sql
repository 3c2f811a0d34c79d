-- Two lifters made up for measuring what history costs a page: the same block begun four weeks ago and the same gym, but
-- 'history' has two years of blocks before it, and 'newcomer' nothing. Figures mean nothing; their number does.
\set ON_ERROR_STOP on
begin;
select setseed(0.5);

insert into club (name, zone) values ('Made up for history', 'Europe/London') returning id as club \gset
insert into account (club_id, username, name, password_hash, role)
  values (:club, 'history', 'Measuring', '{noop}made-up-for-measuring', 'HEAD_COACH') returning id as coach \gset
insert into gym (club_id, name, collars, unit) values (:club, 'Gym', 0, 'KG') returning id as gym \gset
insert into piece (club_id, gym_id, shelf, fields) values
  (:club, :gym, 'BARS', '{"IMPLEMENT": "BARBELL", "NAME": "20 kg bar", "MASS": "20 kg", "FIT_FOR_PINS": "on"}');
insert into piece (club_id, gym_id, shelf, fields)
  select :club, :gym, 'PLATES', jsonb_build_object('MASS', figure || ' kg', 'COUNT', '8')
  from unnest(array[25, 20, 15, 10, 5, 2.5, 1.25]) as figure;

insert into lifter (club_id, name, coach_id, unit, rounding, share_of_estimate, sex, birth_year, sport, health_no)
  select :club, name, :coach, 'KG', 'NEAREST', 95, 'FEMALE', 1990, 'BOTH', '{HEART}'
  from unnest(array['Newcomer', 'History']) as name;
insert into lifter_gym (club_id, lifter_id, gym_id, position) select :club, id, :gym, 0 from lifter where club_id = :club;
insert into lift_numbers (club_id, lifter_id, lift, working_max)
  select :club, l.id, lift, round(max * 0.95 / 2.5) * 2.5
  from lifter l, (values ('squat', 180), ('bench-press', 120), ('deadlift', 210), ('overhead-press', 70)) as m (lift, max)
  where l.club_id = :club;
insert into recorded_max (club_id, lifter_id, lift, kind, load, unit, reps, on_date, entered_at, entered_by)
  select :club, n.lifter_id, n.lift, 'TESTED', n.working_max * 1.05, 'KG', 1,
    current_date - case l.name when 'History' then 730 else 30 end, now(), 'Measuring'
  from lift_numbers n join lifter l on l.id = n.lifter_id where n.club_id = :club;

-- blocks of thirteen weeks: the last began four weeks ago, those before it end where the next begins
insert into block (club_id, lifter_id, name, start_on, weeks)
  select :club, l.id, 'Block ' || n, current_date - 28 - 91 * n, 13
  from lifter l, generate_series(0, 8) as n
  where l.club_id = :club and (n = 0 or l.name = 'History');
insert into block_day (club_id, block_id, position, name, day_offset)
  select :club, b.id, place - 1, 'Day ' || place, days_in
  from block b, unnest(array[0, 1, 3, 5]) with ordinality as days (days_in, place) where b.club_id = :club;
insert into slot (club_id, block_day_id, position, letter, lift)
  select :club, d.id, s, chr(65 + s), (array['squat', 'bench-press', 'deadlift', 'overhead-press'])[1 + (d.position + s / 2) % 4]
  from block_day d, generate_series(0, 3) as s where d.club_id = :club;
insert into dose_cell (club_id, slot_id, week, shorthand)
  select :club, s.id, w, case s.position when 0 then '1 @8' when 1 then '4x5 -20%' else '3x6 ' || (65 + w) || '%' end
  from slot s, generate_series(0, 12) as w where s.club_id = :club;

insert into training_session (club_id, lifter_id, held_on, plan_day, plan_week, started_at, finished_at, judgement, planned)
  select :club, b.lifter_id, held, d.id, w, held + time '18:00', held + time '19:30', 'AS_PLANNED',
    (select string_agg(s.letter || E'\t' || s.lift || E'\t' || c.shorthand || E'\t'
        || case s.position when 0 then '~150kg' when 1 then '~120kg' else '100kg' end, E'\n' order by s.position)
      from slot s join dose_cell c on c.slot_id = s.id and c.week = w where s.block_day_id = d.id)
  from block b join block_day d on d.block_id = b.id, generate_series(0, 12) as w,
    lateral (select b.start_on + 7 * w + d.day_offset) as h (held)
  where b.club_id = :club and held < current_date
  order by held;
insert into logged_set (club_id, session_id, token, task, lift, load, reps, effort, logged_at)
  select :club, t.id, gen_random_uuid(), s.letter || case n when 0 then '.w1' else '.' || n end, s.lift,
    round((1.05 * m.working_max * case n when 0 then 0.5 else 0.7 + 0.2 * random() end)::numeric / 2.5) * 2.5,
    case s.position when 0 then 1 else 5 end,
    case n when 0 then 'easy' else (array['6.5', '7', '7.5', '8', '8.5'])[1 + floor(random() * 5)::int] end,
    t.started_at + n * interval '3 minutes'
  from training_session t join slot s on s.block_day_id = t.plan_day
    join lift_numbers m on m.lifter_id = t.lifter_id and m.lift = s.lift, generate_series(0, 4) as n
  where t.club_id = :club
  order by t.held_on, s.position, n;

insert into slip (club_id, lifter_id, lift, session_id, status, opened_at, rule, raises, size)
  select :club, t.lifter_id, 'squat', max(t.id), 'OPEN', now(), 'estimate-apart', true, 1.5
  from training_session t where t.club_id = :club group by t.lifter_id;

commit;
vacuum analyze;
select lifter.name || ': ' || count(*) || ' sets' from logged_set s join training_session t on t.id = s.session_id
  join lifter on lifter.id = t.lifter_id where s.club_id = :club group by lifter.name order by 1;
