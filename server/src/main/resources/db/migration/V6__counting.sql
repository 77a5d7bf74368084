-- Who is not to be written to, or put away, stands apart: the rest is counted without a look at each person.
create index person_apart on person (id) include (reach, archived_at)
  where reach <> 'READY' or archived_at is not null;

-- A mailing's people in the order of their ids, with what they did.
drop index message_of_mailing;
create index message_of_mailing on message (mailing_id, person_id)
  include (opened, clicked, replied) where state = 'sent';
