-- More reasons for a miss, what was really used where it was not as on the card, and clean and broken repetitions.

alter table logged_set
  drop constraint logged_set_missed_by_check,
  add constraint logged_set_missed_by_check check (missed_by in ('STRENGTH', 'TECHNIQUE', 'GRIP', 'PAIN', 'SLEEP_OR_STRESS',
    'ILLNESS', 'KIT_LEFT_OFF', 'WASTED_SET_UP', 'STRAIN_AT_WORK', 'CALL')),
  -- a measure, a blank, a figure
  add column set_up text[],
  -- numbers of the broken repetitions; nothing where all were clean
  add column reps_seen text,
  add column coach_reps_seen text;
