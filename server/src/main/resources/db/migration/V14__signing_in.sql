-- Attempts to sign in that failed, by login and by address; whoever has to wait is told how long.
create table sign_in_failure (
  who        text primary key check (length(who) <= 200),
  failures   int not null check (failures > 0),
  last_at    timestamptz not null,
  wait_until timestamptz not null
);

-- What a request with a key of its own was answered: the same request again gets the same answer.
create table idempotent_request (
  account_id bigint not null references account on delete cascade,
  key        text not null check (length(key) between 8 and 100),
  request    text not null,
  begun_at   timestamptz not null,
  -- Null while it goes on.
  status     int,
  type       text,
  body       bytea,
  primary key (account_id, key)
);
create index idempotent_request_by_time on idempotent_request (begun_at);

-- What of a row of a file was left out, where the rest of it is taken.
alter table import_row add column note text;
