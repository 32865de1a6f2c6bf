-- A plan that a begun work has left for another one; the plan it goes by stands in works.
create table former_plans (
  work_id uuid not null references works (id),
  -- The revision of the work that went by it last.
  revision integer not null,
  wish jsonb not null,
  begun jsonb not null,
  -- Where the work stood when it was left, and for what.
  rows_worked integer not null check (rows_worked >= 0),
  left_for text not null,
  left_at timestamptz not null default now(),
  primary key (work_id, revision)
);
