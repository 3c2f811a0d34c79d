-- With these, programs read and write what a person may. Of the secret only the hash is kept.
create table access_token (
  id bigint generated always as identity primary key,
  club_id bigint not null,
  account_id bigint not null,
  name text not null check (length(name) between 1 and 60),
  secret_hash text not null unique,
  scopes text[] not null check (cardinality(scopes) > 0),
  made_at timestamp with time zone not null,
  ends_at timestamp with time zone not null check (ends_at > made_at),
  used_at timestamp with time zone,
  foreign key (club_id, account_id) references account (club_id, id) on delete cascade deferrable
);
create index access_token_by_account on access_token (club_id, account_id);

-- What a write was answered, for when it is sent once more.
create table kept_answer (
  club_id bigint not null,
  account_id bigint not null,
  key text not null check (length(key) between 1 and 100),
  -- a hash of what was asked: something else under the same key is a slip
  asked text not null,
  at timestamp with time zone not null,
  -- null only within the transaction that is about to answer
  status integer,
  content_type text,
  location text,
  tag text,
  body bytea,
  primary key (account_id, key),
  foreign key (club_id, account_id) references account (club_id, id) on delete cascade deferrable
);
create index kept_answer_by_age on kept_answer (at);

-- Finished sessions in the order in which they became known, for whoever follows them. The numbers of a club are given out one after the
-- other, each when the one before it is there to be read: nobody who reads on from a number misses one.
create table session_feed (
  session_id bigint primary key,
  club_id bigint not null,
  lifter_id bigint not null,
  number bigint not null,
  told_at timestamp with time zone not null,
  unique (club_id, number) deferrable,
  foreign key (club_id, lifter_id) references lifter (club_id, id) deferrable,
  foreign key (club_id, session_id) references training_session (club_id, id) on delete cascade deferrable
);
create table session_feed_end (
  club_id bigint primary key references club (id) deferrable,
  number bigint not null
);
insert into session_feed (session_id, club_id, lifter_id, number, told_at)
select id, club_id, lifter_id, row_number() over (partition by club_id order by finished_at, id), finished_at
from training_session where finished_at is not null;
insert into session_feed_end (club_id, number) select club_id, max(number) from session_feed group by club_id;
