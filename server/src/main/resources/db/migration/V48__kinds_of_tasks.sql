-- Kinds of tasks are the house's own words as well.
alter table task drop constraint task_kind_check;
alter table standing_word drop constraint standing_word_about_check;
alter table standing_word add constraint standing_word_about_check
  check (about in ('STATUS', 'STAGE', 'TASK'));
insert into standing_word (about, name, place)
values ('TASK', 'call', 1), ('TASK', 'write', 2), ('TASK', 'to do', 3);
