-- Mailings whose rules have still something to do or may have.
create view offered.rule_at_work as
select distinct mailing_id
from public.follow_rule
where stopped_at is null;
