-- Lifters and pieces of kit that came in from a list, so that they go away again in one step.
create table brought_batch (
  id bigint generated always as identity primary key,
  club_id bigint not null references club (id) deferrable,
  -- only whoever brought them takes them away again
  account_id bigint not null,
  kind text not null,
  brought_at timestamp with time zone not null,
  numbers bigint[] not null,
  taken_back_at timestamp with time zone
);
create index brought_batch_by_account on brought_batch (club_id, account_id, kind, id desc);
