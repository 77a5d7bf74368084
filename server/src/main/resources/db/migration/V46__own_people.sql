-- A role may see the people it owns only.
alter table role add column own_people boolean not null default false;

create or replace view offered.role as
select id, name, rights, most_at_once, nod_above, most_a_day, most_rows,
       most_mails_a_day, most_texts_a_day, most_notices_a_day, own_people
from public.role;

-- What counts against the caps of the house, or may be there once only, whoever asks.
create view offered.house_message as select * from offered.message;
create view offered.house_handed_over as select * from offered.handed_over;
create view offered.house_person as select id, number, time_zone from public.person;

create index person_by_owner on person (owner_id) where owner_id is not null;

-- What the database does by itself it does for the whole house, whoever's connection brought it.
alter function person_suppressed()    set search_path = public;
alter function people_suppressed()    set search_path = public;
alter function do_not_write_changed() set search_path = public;
alter function device_barred()        set search_path = public;
alter function app_of_person()        set search_path = public;
alter function series_look_again()    set search_path = public;
alter function responses_on_messages() set search_path = public;
alter function follow_at_once()       set search_path = public;
