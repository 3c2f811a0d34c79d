-- Four weeks after it was answered a call is looked at again: what followed, and whether that bears the answer out.

create table judged_call (
  slip_id bigint primary key references slip (id),
  club_id bigint not null references club (id),
  judged_at timestamp with time zone not null,
  direction text not null check (direction in ('MORE', 'SAME', 'LESS', 'REST')),
  verdict text not null check (verdict in ('BORNE_OUT', 'HURT', 'TOO_MUCH', 'FELL', 'TOO_LITTLE', 'UNKNOWN')),
  sessions integer not null check (sessions >= 0),
  rated integer not null check (rated >= 0),
  over_target integer not null check (over_target between 0 and rated),
  under_target integer not null check (under_target between 0 and rated),
  missed integer not null check (missed >= 0),
  hurt boolean not null,
  -- how far the estimate moved, in percent; empty where nobody knows
  trend numeric(16, 11)
);
create index calls_to_judge on slip (answered_at) where status in ('TAKEN', 'CHANGED', 'BY_ITSELF', 'LEFT');
