-- A mail that arrived is placed when it is known what it answers, or a person has said that it
-- answers nothing; until then it is for people to read.
alter table inbound_mail
  add column placed_at timestamptz,
  add column placed_by bigint references account;

update inbound_mail i
set placed_at = i.received_at
where i.sorted_as in ('Delayed', 'AutoReply')
   or exists (select from response r where r.mail_id = i.id);

create index inbound_to_place on inbound_mail (received_at desc) where placed_at is null;
create index response_by_mail on response (mail_id) where mail_id is not null;

-- An answer that a colleague wrote by hand to one mail.
alter table mailing add column answers_mail bigint references inbound_mail;
create index mailing_answering on mailing (answers_mail) where answers_mail is not null;
