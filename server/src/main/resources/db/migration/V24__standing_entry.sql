-- Whoever comes to match comes into the series by themselves: the parts of an audience; none: nobody.
alter table series
  add column enters_parts jsonb not null default '[]' check (jsonb_typeof(enters_parts) = 'array');
