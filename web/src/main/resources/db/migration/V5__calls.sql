-- Slips: what a finished session gave the coach to decide. One open slip for a lift at most, one for a session and lift.

create table slip (
  id bigint generated always as identity primary key,
  club_id bigint not null,
  lifter_id bigint not null,
  lift text not null,
  session_id bigint not null,
  status text not null check (status in ('OPEN', 'TAKEN', 'CHANGED', 'LEFT')),
  opened_at timestamp with time zone not null,
  before numeric(16, 11) not null,
  proposed numeric(16, 11) not null,
  answered_at timestamp with time zone,
  answered_by bigint,
  check ((status = 'OPEN') = (answered_at is null)),
  unique (session_id, lift),
  foreign key (club_id, lifter_id) references lifter (club_id, id),
  foreign key (club_id, session_id) references training_session (club_id, id),
  foreign key (club_id, answered_by) references account (club_id, id)
);
create unique index one_open_slip_a_lift on slip (lifter_id, lift) where status = 'OPEN';
create index open_slips on slip (club_id, opened_at) where status = 'OPEN';
