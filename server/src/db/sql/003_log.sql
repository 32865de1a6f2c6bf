-- What was weighed, measured and noted at work, append only. The id is made by the device, so that an entry sent
-- twice is stored once.
create table log (
  work_id uuid not null references works (id),
  id uuid not null,
  at bigint not null,
  entry jsonb not null,
  received_at timestamptz not null default now(),
  primary key (work_id, id)
);

create index log_in_order on log (work_id, at, id);
