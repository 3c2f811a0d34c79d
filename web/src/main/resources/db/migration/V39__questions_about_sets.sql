-- Lifters are asked as well why fewer sets are logged than were asked for.

alter table lifter_question drop constraint lifter_question_kind_check;
alter table lifter_question add constraint lifter_question_kind_check
  check (kind in ('WHAT_HAPPENED', 'WHICH_UNIT', 'HOW_MANY_SETS'));
