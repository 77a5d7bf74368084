-- Who said something otherwise than it stands on record: for a colleague to look at.
create view offered.sign_up_to_look_at as
select s.id, s.page_id, g.name as page, s.person_id, s.confirmed_at
from public.sign_up s
join public.sign_up_page g on g.id = s.page_id
where s.differs <> '{}' and s.settled_at is null;
