-- Sheets of the house's own, beside those that ship.
create table own_sheet (
  id         bigint generated always as identity primary key,
  layout     jsonb not null,
  created_at timestamptz not null,
  made_by    bigint not null references account
);

-- What is printed on labels, and how: kept to begin from again.
create table label_template (
  id         bigint generated always as identity primary key,
  name       text not null unique,
  design     jsonb not null,
  created_at timestamptz not null,
  made_by    bigint not null references account
);

-- Labels or envelopes that are printed together.
create table print_run (
  id             bigint generated always as identity primary key,
  name           text not null,
  made_by        bigint not null references account,
  created_at     timestamptz not null,
  version        int not null default 0,
  state          text not null default 'DRAFT'
    check (state in ('DRAFT', 'PRINTING', 'PRINTED', 'DISCARDED')),
  -- Whom it is for, as the audience of a mailing.
  parts          jsonb not null,
  picks          bigint[] not null,
  left_out       bigint[] not null,
  design         jsonb not null,
  start          int not null default 0,
  copies         int not null default 1,
  offset_across  double precision not null default 0,
  offset_down    double precision not null default 0,
  -- How far the printing has come; it goes on elsewhere when it stands still.
  printing_since timestamptz,
  touched_at     timestamptz,
  to_print       int not null default 0,
  done           int not null default 0,
  trouble        text not null default '',
  printed_at     timestamptz,
  pages          int not null default 0,
  posted_on      date,
  posted_by      bigint references account
);

-- What one person's label says for this run alone.
create table print_own (
  id        bigint generated always as identity,
  run_id    bigint not null references print_run on delete cascade,
  person_id bigint not null references person on delete cascade,
  words     text not null,
  primary key (run_id, person_id)
);

-- Who is on the sheets, with the words as they were printed, in the order in which they were.
create table print_item (
  id          bigint generated always as identity primary key,
  run_id      bigint not null references print_run on delete cascade,
  place       int not null,
  person_id   bigint references person on delete set null,
  words       text not null,
  address     text not null,
  returned_on date,
  unique (run_id, place)
);
create index print_item_of_person on print_item (person_id);

-- The file exactly as it was printed, in pieces, so that no process holds the whole.
create table print_file (
  run_id bigint not null references print_run on delete cascade,
  piece  int not null,
  octets bytea not null,
  primary key (run_id, piece)
);
alter table print_file alter column octets set storage external;

-- What was posted to people, and what of it came back.
create view offered.posted as
select i.id, i.run_id, r.name, i.person_id, r.posted_on, i.returned_on, i.words, i.address
from public.print_item i
join public.print_run r on r.id = i.run_id
where r.posted_on is not null and i.person_id is not null;
