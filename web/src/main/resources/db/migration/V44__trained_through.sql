-- Whether a contest is peaked for, or trained through like any week.

alter table contest_entry add column priority text not null default 'PEAKED_FOR' check (priority in ('PEAKED_FOR', 'THROUGH'));
