-- Colleagues are invited, and switched off when they leave.

alter table account
  -- Whoever was invited has none yet.
  alter column password_hash drop not null,
  -- Nobody signs in any more; what they did stays theirs.
  add column switched_off_at timestamptz;

-- A link by which a colleague sets a password, once. The link itself is kept nowhere.
create table password_link (
  account_id bigint primary key references account on delete cascade,
  token_hash bytea not null unique,
  made_at timestamptz not null,
  made_by bigint references account,
  expires_at timestamptz not null
);

create or replace view offered.account as
select id, login, name, email, title, role, person_id, phone, signature,
       switched_off_at is not null as off
from public.account;
