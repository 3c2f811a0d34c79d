-- How a finished session compares with what its day asked for is worked out once, when it is finished or corrected, and kept
-- with it. Null where nothing was asked for, and for those of earlier versions until the application has started once.
alter table training_session add column judgement text check (judgement in ('OVER', 'AS_PLANNED', 'UNDER'));
