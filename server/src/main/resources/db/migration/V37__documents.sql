-- Documents (.docx) that letters are made of. What a letter was made of stays, whatever becomes of it.
create table document_file (
  hash text primary key,
  content bytea not null
);

create table document (
  id bigint generated always as identity primary key,
  name text not null,
  label text not null default '',
  starts_from text not null default 'person',
  private_to bigint references account,
  version int not null default 1,
  made_by bigint not null references account,
  changed_by bigint not null references account,
  changed_at timestamptz not null,
  gone_at timestamptz
);

-- Each version with its file and what the fields of the file stand for.
create table document_version (
  document_id bigint not null references document,
  version int not null,
  hash text not null references document_file,
  file_name text not null,
  fields jsonb not null,
  matches jsonb not null,
  saved_at timestamptz not null,
  saved_by bigint not null references account,
  primary key (document_id, version)
);

alter table way_wording
  add column document_id bigint,
  add column document_version int,
  add constraint way_wording_document_fkey
    foreign key (document_id, document_version) references document_version,
  add constraint way_wording_document_check
    check ((document_id is null) = (document_version is null));
create index way_wording_of_document on way_wording (document_id) where document_id is not null;

create view offered.letter_document as
select cause_id, document_id, document_version
from public.way_wording
where document_id is not null;

-- A print run whose letters are made of a document, and what each was filled with.
alter table print_run
  add column document_id bigint,
  add column document_version int,
  add constraint print_run_document_fkey
    foreign key (document_id, document_version) references document_version;
alter table print_item
  add column filled jsonb;
