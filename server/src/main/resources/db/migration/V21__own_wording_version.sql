-- Two colleagues may write one person's own words at once: neither is saved over unseen.
alter table own_wording
  add column version integer not null default 1;
