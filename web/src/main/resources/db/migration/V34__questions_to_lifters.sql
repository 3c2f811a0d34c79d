-- What a coach asks a lifter about a logged set. The answer is written into the set; here stands that it was given.

create table lifter_question (
  id bigint generated always as identity primary key,
  club_id bigint not null,
  lifter_id bigint not null,
  session_id bigint not null,
  task text not null,
  kind text not null check (kind in ('WHAT_HAPPENED', 'WHICH_UNIT')),
  -- what the load may have been, where that is the question
  other_load numeric(16, 11) check (other_load > 0),
  asked_at timestamp with time zone not null,
  asked_by_name text not null,
  answered_at timestamp with time zone,
  answer text,
  check ((answered_at is null) = (answer is null)),
  unique (session_id, task, kind),
  foreign key (club_id, lifter_id) references lifter (club_id, id),
  foreign key (club_id, session_id) references training_session (club_id, id)
);
create index open_lifter_questions on lifter_question (club_id, lifter_id) where answered_at is null;
