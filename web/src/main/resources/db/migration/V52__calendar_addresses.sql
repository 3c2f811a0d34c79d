-- Where calendars fetch what somebody sees, until a new one takes its place. Of the secret in it only the hash is kept.
create table calendar_address (
  account_id bigint primary key,
  club_id bigint not null,
  secret_hash text not null unique,
  -- whether sessions are among it; contests are
  sessions boolean not null,
  -- whoever fetches it says nothing of their language
  language text not null,
  made_at timestamp with time zone not null,
  foreign key (club_id, account_id) references account (club_id, id)
);
