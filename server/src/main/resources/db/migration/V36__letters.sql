-- What is said on ways beside e-mail: letters on paper too.
alter table short_wording rename to way_wording;
alter table way_wording
  drop constraint short_wording_channel_check,
  add constraint way_wording_channel_check check (channel in ('TEXT', 'APP', 'POST')),
  -- How a letter lies on its sheet.
  add column form text not null default 'DIN_B' check (form in ('DIN_A', 'DIN_B', 'US'));

alter table cause
  drop constraint cause_ways_check,
  add constraint cause_ways_check
    check (cardinality(ways) > 0 and ways <@ '{EMAIL,TEXT,APP,POST}');

-- A print run may be of the letters of a cause.
alter table print_run
  add column cause_id bigint references cause on delete cascade,
  add column duplex boolean not null default false;
create index print_run_of_cause on print_run (cause_id) where cause_id is not null;

-- Of a letter: which message it is, and where it lies in the file.
alter table print_item
  add column message_id bigint,
  add column subject text not null default '',
  add column first_page int,
  add column pages int;
create unique index print_item_of_message on print_item (message_id) where message_id is not null;

-- What was posted to people, and what of it came back; letters of a private cause too.
create or replace view offered.posted as
select i.id, i.run_id, r.name, i.person_id, r.posted_on, i.returned_on, i.words, i.address, r.cause_id,
       i.message_id
from public.print_item i
join public.print_run r on r.id = i.run_id
where r.posted_on is not null and i.person_id is not null;
