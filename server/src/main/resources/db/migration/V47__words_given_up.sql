-- A topic or a plan that is given to nothing and nobody any more; what has it keeps it.
alter table topic add column retired_at timestamptz;
alter table plan add column retired_at timestamptz;
