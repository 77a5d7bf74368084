-- Links by which the first administrator makes themselves. A link itself is kept nowhere.
create table first_start (
  token_hash bytea primary key,
  made_at timestamptz not null
);
