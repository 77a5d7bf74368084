-- Series of a million people: fewer indexes to keep, numbers kept instead of counted with each view.

alter table series_entry drop constraint series_entry_person_id_series_id_turn_key;
-- A person's entries of a series follow one another, so that this also keeps them from being in twice.
drop index series_entry_in;
alter table series_entry add unique (series_id, person_id, turn);
create index series_entry_of_person on series_entry (person_id);

-- How a large series stands, as counted some time ago.
create table series_tally (
  series_id  bigint primary key references series on delete cascade,
  counted_at timestamptz not null,
  -- How long it took to count.
  took_ms    bigint not null check (took_ms >= 0),
  tally      jsonb not null
);

create view offered.series as
select id, name, private, sender_id, state, state = 'active' as is_active
from public.series;

create view offered.series_step as
select id, series_id, place, cause_id, gone_at is not null as is_gone
from public.series_step;
