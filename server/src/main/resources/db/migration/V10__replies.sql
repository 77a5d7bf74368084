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

-- By what signs a fetch is taken for software's.
alter table workspace
  add column machine_within_seconds int not null default 5
    check (machine_within_seconds between 0 and 600),
  add column machine_agents text[] not null default
    '{bot,crawler,spider,scan,scanner,prefetch,preview,monitor,curl,wget,java/,python,libwww,okhttp,httpclient,http-client,headless,headlesschrome}',
  add column machine_ranges text[] not null default '{}';

-- A second open of a message changes nothing of it, and writes nothing.
create or replace function response_on_message() returns trigger language plpgsql as $$
begin
  update message
  set opened = opened or new.kind in ('OPENED', 'CLICKED', 'REPLIED'),
      clicked = clicked or new.kind = 'CLICKED',
      replied = replied or new.kind = 'REPLIED',
      returned = returned or new.kind in ('RETURNED_HARD', 'RETURNED_SOFT'),
      has_left = has_left or new.kind = 'LEFT'
  where id = new.message_id
    and ((not opened and new.kind in ('OPENED', 'CLICKED', 'REPLIED'))
         or (not clicked and new.kind = 'CLICKED')
         or (not replied and new.kind = 'REPLIED')
         or (not returned and new.kind in ('RETURNED_HARD', 'RETURNED_SOFT'))
         or (not has_left and new.kind = 'LEFT'));
  return null;
end $$;
