-- The language of what the house tells a colleague; null: the one of the house.
alter table account add column language text
  check (language in ('en', 'de', 'fr', 'no', 'es'));
