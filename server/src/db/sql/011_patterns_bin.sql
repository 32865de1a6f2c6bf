-- Stitch patterns of the maker's own, in the notation.
create table patterns (
  id uuid primary key,
  revision integer not null check (revision >= 1),
  pattern jsonb not null,
  created_at timestamptz not null default now(),
  changed_at timestamptz not null default now(),
  deleted_at timestamptz
);
-- Everything that is deleted lies in the bin for 30 days.
alter table drawer add column deleted_at timestamptz;
alter table swatches add column deleted_at timestamptz;
alter table drafts add column deleted_at timestamptz;
