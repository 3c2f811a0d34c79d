-- The upper limit of the class that somebody means to lift in.

alter table contest_entry add column class_limit numeric check (class_limit between 20 and 350);
