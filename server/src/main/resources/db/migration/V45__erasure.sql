-- Whom the house forgets, and what one colleague sees of another's work.

-- Somebody who was erased leaves a row without a value: what was sent to them goes on counting.
alter table person add column erased_at timestamptz;

-- Addresses of people who were erased and must not be written to: marks that the house's key makes
-- of them. The key is not in the database.
create table erased_address (
  mark   bytea primary key,
  reason text not null,
  since  timestamptz not null
);

-- That it was done: what its certificate says.
create table erasure (
  id           bigint generated always as identity primary key,
  person_id    bigint not null references person,
  at           timestamptz not null,
  -- empty: the house itself, since they were archived long ago
  by_id        bigint references account,
  -- the day on which the person asked for it
  asked_on     date,
  -- addresses kept as marks
  marked       integer not null,
  -- what there was, by what it is called: how many
  figures      jsonb not null
);

-- What is looked for when somebody is erased: what was written to them alone.
create view offered.audience as
select mailing_id, picks, parts <> '[]' as has_parts, record_kind is not null as has_records
from audience;

create or replace view offered.person as
select id, kind, honorific, first_name, last_name, email, email_valid, phone, number,
       language, time_zone, birthday, address_street, address_postcode, address_place,
       address_country, owner_id, organisation_id, introduced_by, tags, source, stage,
       last_visit_at, created_at, asked_not, attributes, email_key, tags_key, name,
       name_key, app_installed, archived_at, merged_into, suppressed, reach, picture_key,
       phone_key, app_link_number, erased_at
from public.person;

-- For how many months what is held of people is kept; empty: for good. And the night in which what
-- is older goes next, said before.
create table retention (
  id        integer primary key check (id = 1),
  copies    integer,
  responses integer,
  mails     integer,
  archived  integer,
  goes_at   timestamptz,
  version   integer not null default 0
);
insert into retention (id) values (1);


alter table house_event drop constraint house_event_kind_check;
alter table house_event add constraint house_event_kind_check
  check (kind in ('SIGN_IN', 'COLLEAGUES', 'SETTINGS', 'EXPORT', 'PRIVACY'));

-- Who sees what others write, but what is private. Every role that there is does.
update role set rights = rights || '{MAILINGS_OF_OTHERS}';

create or replace view offered.open_cause as
select c.*, a.id as open_to
from offered.cause c
join (
  select a.id, 'MAILINGS_OF_OTHERS' = any (r.rights) as sees_others
  from public.account a
  join public.role r on r.id = a.role_id
) a on c.sender_id = a.id or (not c.private and a.sees_others);

create view offered.open_series as
select s.id, a.id as open_to
from public.series s
join (
  select a.id, 'MAILINGS_OF_OTHERS' = any (r.rights) as sees_others
  from public.account a
  join public.role r on r.id = a.role_id
) a on s.sender_id = a.id or (not s.private and a.sees_others);

-- How many of its messages a day may be of one way.
alter table role
  add column most_mails_a_day   integer check (most_mails_a_day >= 0),
  add column most_texts_a_day   integer check (most_texts_a_day >= 0),
  add column most_notices_a_day integer check (most_notices_a_day >= 0);
create or replace view offered.role as
select id, name, rights, most_at_once, nod_above, most_a_day, most_rows,
       most_mails_a_day, most_texts_a_day, most_notices_a_day
from public.role;

-- Words of the house for where somebody stands, in their order; whoever has one that is given to
-- nobody any more keeps it.
create table standing_word (
  about      text not null check (about in ('STATUS', 'STAGE')),
  name       text not null check (btrim(name) <> ''),
  place      integer not null,
  retired_at timestamptz,
  -- of a status: whether whoever has it is a current member
  counts     boolean not null default true,
  primary key (about, name)
);
insert into standing_word (about, name, place)
values ('STATUS', 'active', 1), ('STATUS', 'waiting', 2), ('STATUS', 'lapsed', 3),
       ('STAGE', 'new', 1), ('STAGE', 'talking', 2), ('STAGE', 'quoted', 3), ('STAGE', 'won', 4),
       ('STAGE', 'lost', 5);
update standing_word set counts = false where name in ('waiting', 'lapsed');
create view offered.standing_word as select about, name, counts from standing_word;
alter table person drop constraint person_stage_check;
alter table membership drop constraint membership_status_check;

-- Where these are not those of the house's country and language.
alter table workspace
  add column currency  text,
  add column day_order text check (day_order in ('DAY_FIRST', 'MONTH_FIRST', 'YEAR_FIRST'));
