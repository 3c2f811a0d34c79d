-- Lifters are asked as well why fewer sets are logged than were asked for, and whether the bar was
-- counted. An answer that names the other load is called so, whatever the load was mistaken for.

alter table lifter_question drop constraint lifter_question_kind_check;
alter table lifter_question add constraint lifter_question_kind_check
  check (kind in ('WHAT_HAPPENED', 'WHICH_UNIT', 'WITH_THE_BAR', 'HOW_MANY_SETS'));
update lifter_question set answer = 'OTHER_LOAD' where answer = 'OTHER_UNIT';
