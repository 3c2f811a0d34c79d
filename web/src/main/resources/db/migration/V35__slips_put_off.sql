-- A slip can be put off: until that day it waits out of sight.

alter table slip add column put_off_until date;
