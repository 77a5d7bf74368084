-- Services outside that the house uses, as set on its screens. An empty host: none is set there.
create table outside_service (
  kind           text primary key check (kind in ('MAIL_SERVER', 'MAILBOX', 'TEXT_SERVICE')),
  host           text not null,
  port           integer not null,
  protection     text not null check (protection in ('NONE', 'STARTTLS', 'TLS')),
  user_name      text not null,
  -- sealed with the house's key; null for none
  password       bytea,
  -- certificates (PEM) of those who vouch for it; empty: those the machine knows
  authority      text not null,
  lines          integer not null,
  per_second     integer not null,
  sender         text not null,
  trusted_server text not null,
  version        integer not null default 1
);

-- Mails that the house sends to itself to see whether they come back.
create table mail_trial (
  id         bigint generated always as identity primary key,
  -- the Message-ID of the one that is to come back
  identity   text not null unique,
  asked_by   bigint not null references account,
  sent_at    timestamptz not null,
  came_at    timestamptz
);

-- By which name the key is found with which the mail server signs (DKIM); empty: unsaid.
alter table workspace add column key_selector text not null default '';

-- Steps of the set-up that were left for later.
alter table workspace add column set_up_later text[] not null default '{}';

-- What the set-up asks of other rooms.
create view offered.letterhead as select id, changed_by from letterhead;

-- What the file of one person tells of their history.
create view offered.change as
select c.person_id, b.at, c.field, c.before, c.after
from change c
join change_batch b on b.id = c.batch_id;
create view offered.import_row as select person_id, run_id, row_no, cells from import_row;

-- That the house was made of a backup: nothing leaves before somebody has said that it goes on here.
create table restored (
  id          integer primary key check (id = 1),
  made_at     timestamptz not null,
  restored_at timestamptz not null,
  -- since when the house runs
  seen_at     timestamptz,
  lifted_at   timestamptz,
  lifted_by   bigint references account
);
