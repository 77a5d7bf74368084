-- The day on which weeks begin, where it is not that of the country.
alter table workspace
  add column week_start text check (week_start in ('MONDAY', 'SATURDAY', 'SUNDAY'));
