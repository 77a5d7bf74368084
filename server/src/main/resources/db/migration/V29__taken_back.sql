-- Who was taken out of a series comes back only into one that was not ended.

create or replace view offered.series as
select id, name, private, sender_id, state, state = 'active' as is_active,
       state = 'ended' as is_ended
from public.series;
