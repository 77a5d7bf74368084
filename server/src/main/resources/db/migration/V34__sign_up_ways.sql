-- Ways beside e-mail that a reader of a sign-up page can tick, and those that were ticked.
alter table sign_up_page add column ways text[] not null default '{}';
alter table sign_up add column ways text[] not null default '{}';
