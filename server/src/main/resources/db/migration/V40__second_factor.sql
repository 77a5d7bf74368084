-- Beside the password: what a colleague's app knows, and codes on paper for when it is lost.

create table second_factor (
  account_id   bigint primary key references account on delete cascade,
  -- Sealed with the house's key.
  secret       bytea not null,
  -- Nothing is asked for until a first code has shown that the app knows the secret.
  confirmed_at timestamptz,
  -- A code is good once: the step of the last one.
  last_step    bigint not null default 0
);

create table recovery_code (
  account_id bigint not null references account on delete cascade,
  code_hash  bytea not null,
  used_at    timestamptz,
  primary key (account_id, code_hash)
);

-- Whether all colleagues must have one.
alter table workspace add column second_factor_demanded boolean not null default false;
