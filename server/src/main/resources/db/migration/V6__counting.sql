-- Who is not to be written to, or put away, stands apart: the rest is counted without a look at each person.
create index person_apart on person (id) include (reach, archived_at)
  where reach <> 'READY' or archived_at is not null;

-- A mailing's people in the order of their ids, with what they did.
drop index message_of_mailing;
create index message_of_mailing on message (mailing_id, person_id)
  include (opened, clicked, replied) where state = 'sent';

-- Of many people added at once, those on the do-not-write list are found together.
drop trigger person_suppressed on person;
create trigger person_suppressed before update of email on person
  for each row execute function person_suppressed();

create function people_suppressed() returns trigger language plpgsql as $$
begin
  update person p
  set suppressed = true
  from added a
  join do_not_write d on d.email_key = a.email_key
  where p.id = a.id;
  return null;
end $$;

create trigger people_suppressed after insert on person
  referencing new table as added
  for each statement execute function people_suppressed();

-- A row of an import is rewritten two or three times: on its own page, with no index to follow.
drop index import_row_by_key;
alter table import_row set (fillfactor = 40);
