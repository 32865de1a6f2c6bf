create table drawer (
  id uuid primary key,
  revision integer not null check (revision >= 1),
  yarn jsonb not null,
  created_at timestamptz not null default now(),
  changed_at timestamptz not null default now()
);

create table swatches (
  id uuid primary key,
  revision integer not null check (revision >= 1),
  swatch jsonb not null,
  created_at timestamptz not null default now(),
  changed_at timestamptz not null default now()
);

-- A wish while it is being typed: what the form holds, whether it can be planned yet or not.
-- A draft of a work that is already there bears the id of that work.
create table drafts (
  id uuid primary key,
  title text not null,
  form jsonb not null,
  changed_at timestamptz not null default now()
);

-- Put away: out of sight on the bench, not lost.
alter table works add column archived boolean not null default false;
-- What was changed from elsewhere since the maker last changed the plan.
alter table works add column notice text;

alter table preferences add column fractions text not null default 'quarters';
