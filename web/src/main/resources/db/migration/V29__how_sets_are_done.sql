-- How a set was to be done where that is said: beat, rest, what hung on the bar, kit; as core's SetUp writes it. Of earlier
-- sets that were another lift than the plain one nobody kept what made them so.
alter table logged_set add column done_as text check (done_as <> '');
update logged_set set done_as = 'other' where modified;
alter table logged_set drop column modified;
