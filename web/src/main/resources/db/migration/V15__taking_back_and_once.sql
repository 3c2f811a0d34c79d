-- An answer to a slip can be taken back: the slip knows the ledger's entry of it, which knows what it moved.

alter table slip add column answer_entry bigint references change_entry (id);
alter table slip drop constraint slip_status_check;
alter table slip add constraint slip_status_check check (status in ('OPEN', 'TAKEN', 'CHANGED', 'LEFT', 'TAKEN_BACK'));
create index answered_slips on slip (club_id, answered_at desc) where answered_at is not null;

-- What was sent by a form, by a hash of all of it: the same sent twice acts once.
create table sent_form (
  account_id bigint not null references account (id),
  hash text not null,
  sent_at timestamp with time zone not null,
  -- empty while it is being done
  answered_at timestamp with time zone,
  location text,
  primary key (account_id, hash)
);
create index sent_form_by_time on sent_form (sent_at);
