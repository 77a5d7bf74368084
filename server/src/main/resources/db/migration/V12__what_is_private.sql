-- Who made a template; only they can take what all use for themselves.
alter table template add column made_by bigint references account;
update template t
set made_by = coalesce(
  (select v.saved_by from template_version v where v.template_id = t.id order by v.version limit 1),
  t.changed_by);
alter table template alter column made_by set not null;

-- A name that a colleague keeps to themselves says nothing to others, also by being taken.
alter table template drop constraint template_name_key;
create unique index template_by_name on template (name, coalesce(private_to, 0));

-- What answers in a private thread, follows a private mailing by rule or by hand, is private too.
update mailing g
set private = true
where not g.private
  and (exists (select from mailing f where f.id = g.follows_id and f.private)
       or exists (select from response r join mailing a on a.id = r.mailing_id
                  where r.mail_id = g.answers_mail and a.private));
