-- A reply of which nobody knows yet whether the person wrote it: from an address that is not on
-- record, or placed by the name alone. It counts for some days, then only when a colleague says so.
alter table response add column unsure boolean not null default false;
create index response_unsure on response (at) where unsure;

alter table inbound_mail
  -- The message a mail is about that could not be read: it waits for a person, and shows there.
  add column about_id bigint references message on delete set null,
  -- What the house's own mail server found out about the sender (RFC 8601); empty for nothing.
  add column authentication text not null default '',
  -- Why it could not be read at all; empty when it was.
  add column trouble text not null default '';
create index inbound_mail_about on inbound_mail (about_id) where about_id is not null;
