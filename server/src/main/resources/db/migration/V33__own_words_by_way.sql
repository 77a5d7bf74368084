-- Words for one person alone stand by the way that they are for: a mail, a text, a notice (whose
-- title is the subject).
alter table own_wording
  add column channel text not null default 'EMAIL',
  drop constraint own_wording_pkey,
  add primary key (mailing_id, person_id, channel);
alter table own_wording alter column channel drop default;
