-- A club made up for measuring the floor: so many lifters who train today, each with a sign-in, three lifts and three weeks.
-- Figures mean nothing; their number does. Variable: lifters.
\set ON_ERROR_STOP on
begin;
insert into club (name, zone) values ('Made up for the floor', 'Europe/London') returning id as club \gset
insert into account (club_id, username, name, password_hash, role)
  values (:club, 'floor', 'Measuring', '{noop}made-up-for-measuring', 'HEAD_COACH') returning id as coach \gset
insert into gym (club_id, name, collars, unit) values (:club, 'Gym', 0, 'KG') returning id as gym \gset
insert into piece (club_id, gym_id, shelf, fields) values
  (:club, :gym, 'BARS', '{"IMPLEMENT": "BARBELL", "NAME": "20 kg bar", "MASS": "20 kg", "FIT_FOR_PINS": "on"}');
insert into piece (club_id, gym_id, shelf, fields)
  select :club, :gym, 'PLATES', jsonb_build_object('MASS', figure || ' kg', 'COUNT', '8')
  from unnest(array[25, 20, 15, 10, 5, 2.5, 1.25]) as figure;
insert into lifter (club_id, name, coach_id, unit, rounding, share_of_estimate, sex, birth_year, sport, health_no)
  select :club, 'Floor ' || to_char(n, 'FM000'), :coach, 'KG', 'NEAREST', 95, 'FEMALE', 1990, 'BOTH', '{HEART}'
  from generate_series(1, :lifters) as n;
insert into account (club_id, username, name, password_hash, role, lifter_id)
  select :club, 'floor-' || row_number() over (order by id), name, '{noop}made-up-for-measuring', 'LIFTER', id
  from lifter where club_id = :club;
insert into lifter_gym (club_id, lifter_id, gym_id, position) select :club, id, :gym, 0 from lifter where club_id = :club;
insert into lift_numbers (club_id, lifter_id, lift, working_max)
  select :club, l.id, lift, max from lifter l, (values ('squat', 180), ('bench-press', 120), ('deadlift', 210)) as m (lift, max)
  where l.club_id = :club;
insert into block (club_id, lifter_id, name, start_on, weeks)
  select :club, id, 'Floor', current_date - 7, 3 from lifter where club_id = :club;
insert into block_day (club_id, block_id, position, name, day_offset) select :club, id, 0, 'Day', 0 from block where club_id = :club;
insert into slot (club_id, block_day_id, position, letter, lift)
  select :club, d.id, n - 1, chr(64 + n), (array['squat', 'bench-press', 'deadlift'])[n]
  from block_day d, generate_series(1, 3) as n where d.club_id = :club;
insert into dose_cell (club_id, slot_id, week, shorthand)
  select :club, s.id, w, '10x5 70%' from slot s, generate_series(0, 2) as w where s.club_id = :club;
commit;
analyze;
