-- How many people one mailing may be released to; null for no limit.
alter table sending_rules
  add column most_per_mailing integer check (most_per_mailing between 1 and 10000000);

-- Where an event can be read about or signed up for.
alter table event
  add column link text check (link ~ '^https?://');

create or replace view offered.event as
select id, name, starts_at, place, link
from public.event;
