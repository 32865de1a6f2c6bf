create table works (
  id uuid primary key,
  state text not null check (state in ('wished', 'begun', 'finished')),
  revision integer not null check (revision >= 1),
  wish jsonb not null,
  begun jsonb check ((begun is null) = (state = 'wished')),
  created_at timestamptz not null default now(),
  changed_at timestamptz not null default now()
);

-- One step of the counter each, append only. The id is made by the device, so that a step sent twice is stored once.
create table ticks (
  work_id uuid not null references works (id),
  id uuid not null,
  at bigint not null,
  from_rows integer not null check (from_rows >= 0),
  from_runs integer not null check (from_runs >= 0),
  to_rows integer not null check (to_rows >= 0),
  to_runs integer not null check (to_runs >= 0),
  received_at timestamptz not null default now(),
  primary key (work_id, id)
);

create index ticks_in_order on ticks (work_id, at, id);

-- Where the ticks of a work lead, kept beside them so that a list need not read them all.
create table progress (
  work_id uuid primary key references works (id),
  rows_worked integer not null,
  runs_worked integer not null,
  last_at bigint not null,
  last_id uuid not null
);

create table preferences (
  one boolean primary key default true check (one),
  units text not null,
  terms text not null,
  hand text not null
);
