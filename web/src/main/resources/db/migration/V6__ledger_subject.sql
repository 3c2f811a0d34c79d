-- What a change was about is kept in parts, the lift's key first, so that it is worded when it is read.

alter table change_entry alter column subject type varchar[] using
  case when kind = 'DOSE' and subject ~ '^.* [A-Z][0-9]* .*, week [0-9]+$' then
    array[
      replace(lower(substring(subject from '^.* [A-Z][0-9]* (.*), week [0-9]+$')), ' ', '-'),
      substring(subject from '^(.*) [A-Z][0-9]* .*, week [0-9]+$'),
      substring(subject from '^.* ([A-Z][0-9]*) .*, week [0-9]+$'),
      substring(subject from '^.* [A-Z][0-9]* .*, week ([0-9]+)$')]
  else string_to_array(subject, ' ')::varchar[] end;
