-- An entry of the ledger undoes an earlier one of the same club's block; an answer's entry and a form that was sent are the
-- club's own; and ratings are ratings.

alter table change_entry add unique (club_id, id);
alter table change_entry drop constraint change_entry_undoes_fkey;
alter table change_entry add foreign key (club_id, undoes) references change_entry (club_id, id);
alter table change_entry add foreign key (club_id, block_id) references block (club_id, id);
alter table change_entry add check (undoes < id);
alter table change_entry add check (undoes is null or block_id is not null);

alter table slip drop constraint slip_answer_entry_fkey;
alter table slip add foreign key (club_id, answer_entry) references change_entry (club_id, id);

alter table logged_set
  add check (partner ~ '^([1-9](\.5)?|10)$'),
  add check (coach_rating ~ '^([1-9](\.5)?|10)$'),
  add check (effort in ('easy', 'missed', 'done') or effort ~ '^([1-9](\.5)?|10)$'),
  add check (coach_link in ('SLOW_OFF_THE_FLOOR', 'STALLS_AT_KNEE_OR_LOCKOUT', 'HIPS_SHOOT_UP', 'FOLDS_FORWARD',
    'STALLS_AT_THE_CHEST', 'STALLS_AT_LOCKOUT', 'GRIP_GOES', 'SLOWS_LATE'));
