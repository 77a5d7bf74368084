-- When messages may leave: the workspace's hours, days off and caps, and each mailing's plan.

alter table workspace
  -- Windows of the week, [{"day": "MONDAY", "from": 540, "to": 1020}, …] in minutes; null for any time.
  add column sending_hours jsonb check (jsonb_typeof(sending_hours) = 'array'),
  -- Messages a day of the workspace's zone, all mailings together; null for no limit.
  add column daily_cap int check (daily_cap >= 0),
  -- What the mail service lets through.
  add column service_cap int check (service_cap >= 0);

create table day_off (
  day  date primary key,
  name text not null check (btrim(name) <> '')
);

-- Messages a day that a colleague of a role may send.
create table role_cap (
  role text primary key check (role in ('administrator', 'coordinator', 'representative')),
  most int not null check (most >= 0)
);

alter table account
  -- Instead of what the role may send.
  add column daily_cap int check (daily_cap >= 0);

alter table mailing
  add column plan jsonb not null default '{}' check (jsonb_typeof(plan) = 'object'),
  -- Since when its messages are held back by hand.
  add column paused_at timestamptz;

alter table message
  -- When the plan let it leave; a message that was put off is due later.
  add column planned_at timestamptz;
