-- Each table belongs to one room of the house. What others may read of it is offered as a view; what
-- they want changed they ask the room for.

-- Settings stand with what goes by them.
create table sending_rules (
  one          boolean primary key default true check (one),
  -- Windows of the week, [{"day": "MONDAY", "from": 540, "to": 1020}, …] in minutes; null for any time.
  hours        jsonb check (jsonb_typeof(hours) = 'array'),
  -- Messages a day of the workspace's zone, all mailings together; null for no limit.
  daily_cap    int check (daily_cap >= 0),
  -- What the mail service lets through.
  service_cap  int check (service_cap >= 0),
  -- How many days somebody should be left alone between two mailings; closer ones are pointed out.
  spacing_days int not null default 3 check (spacing_days between 0 and 90)
);

insert into sending_rules default values;
update sending_rules
set hours = w.sending_hours, daily_cap = w.daily_cap, service_cap = w.service_cap,
    spacing_days = w.rest_days
from workspace w;

-- What a colleague may send a day, instead of what the role may send.
create table colleague_cap (
  account_id bigint primary key references account on delete cascade,
  most       int not null check (most >= 0)
);

insert into colleague_cap (account_id, most)
select id, daily_cap from account where daily_cap is not null;

-- By what signs a fetch is taken for software's.
create table counting_rules (
  one            boolean primary key default true check (one),
  within_seconds int not null default 5 check (within_seconds between 0 and 600),
  -- Who follows all links of a message within so long is software.
  burst_seconds  int not null default 5 check (burst_seconds between 0 and 60),
  agents         text[] not null default
    '{bot,crawler,spider,scan,scanner,prefetch,preview,monitor,curl,wget,java/,python,libwww,okhttp,httpclient,http-client,headless,headlesschrome}',
  ranges         text[] not null default '{}'
);

insert into counting_rules default values;
update counting_rules
set within_seconds = w.machine_within_seconds, burst_seconds = w.machine_burst_seconds,
    agents = w.machine_agents, ranges = w.machine_ranges
from workspace w;

-- The secret part of the address of a colleague's calendar of tasks.
create table task_calendar (
  account_id bigint primary key references account on delete cascade,
  key        text not null unique
);

insert into task_calendar (account_id, key)
select id, calendar_key from account where calendar_key is not null;

alter table workspace
  drop column sending_hours,
  drop column daily_cap,
  drop column service_cap,
  drop column rest_days,
  drop column machine_within_seconds,
  drop column machine_burst_seconds,
  drop column machine_agents,
  drop column machine_ranges;

alter table account
  drop column daily_cap,
  drop column calendar_key;

create schema offered;

create view offered.account as
select id, login, name, email, title, role, person_id, phone, signature
from public.account;

create view offered.person as
select id, kind, honorific, first_name, last_name, email, email_valid, phone, number,
       language, time_zone, birthday, address_street, address_postcode, address_place,
       address_country, owner_id, organisation_id, introduced_by, tags, source, stage,
       last_visit_at, created_at, asked_not, attributes, email_key, tags_key, name,
       name_key, app_installed, archived_at, merged_into, suppressed, reach, picture_key
from public.person;

create view offered.organisation as
select id, name, place, added_by
from public.organisation;

create view offered.membership as
select person_id, plan, status, joined_on, renews_on, dues_owed, currency
from public.membership;

create view offered.office as
select id, person_id, name, body, since, until
from public.office;

create view offered.change_batch as
select id, at, by_id, words, undone_at, undone_by
from public.change_batch;

create view offered.do_not_write as
select email_key, reason, since, note, by_id
from public.do_not_write;

create view offered.topic as
select id, name
from public.topic;

create view offered.topic_left as
select person_id, topic_id, left_at
from public.topic_left;

create view offered.person_list as
select id, name, name_key, created_at, created_by
from public.person_list;

create view offered.list_member as
select list_id, person_id
from public.list_member;

create view offered.event as
select id, name, starts_at, place
from public.event;

create view offered.attendance as
select id, event_id, person_id, state
from public.attendance;

create view offered.quote as
select id, number, person_id, title, total, currency, stage, sent_on, valid_until, owner_id
from public.quote;

create view offered.task as
select id, person_id, kind, title, due_on, done_at, owner_id, created_at, created_by
from public.task;

create view offered.template as
select id, name, subject, body, topic_id, version, changed_at, changed_by, label,
       starts_from, private_to, letterhead_id, promotional, made_by
from public.template;

create view offered.mailing as
select id, name, subject, body, template_id, topic_id, sender_id, follows_id,
       audience_picks, left_out, start_wall, count_opens, count_clicks, state, released_at,
       held_until, due_at, version, created_at, created_by, audience_parts, leave_parts,
       template_version, letterhead_id, promotional, voice, replies_to, reply_colleague,
       private, record_kind, record_ids, record_each, plan, paused_at, summed_up_at,
       answers_mail, by_rule
from public.mailing;

create view offered.mailing_release as
select mailing_id, person_ids, record_ids, due_seconds
from public.mailing_release;

create view offered.mailing_release_lot as
select mailing_id, begins, ends
from public.mailing_release_lot;

create view offered.message as
select id, mailing_id, person_id, address, recipient, token, state, frozen, follows_id,
       in_reply_to, reference_ids, due_at, in_hands_of, tries, first_try_at, sent_at,
       reason, subject, links, standing, opened, clicked, replied, returned, has_left,
       record_id, planned_at, shown_state, copies_id, copy_place, thread_id
from public.message;

create view offered.mail_server as
select one, trouble, since, tried_at
from public.mail_server;

create view offered.response as
select id, message_id, mailing_id, person_id, kind, at, detail, mail_id, away_until, unsure
from public.response;

create view offered.inbound_mail as
select id, identity, received_at, sender, subject, words, sorted_as, mime, placed_at,
       placed_by, about_id, authentication, trouble
from public.inbound_mail;

alter view message_copy set schema offered;
