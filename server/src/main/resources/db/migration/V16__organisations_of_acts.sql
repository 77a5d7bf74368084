-- An organisation that came with an act goes when the act is taken back and nobody is there.
alter table organisation
  add column added_by bigint references change_batch on delete set null;

create index organisation_added_by on organisation (added_by) where added_by is not null;
