-- The last day on which a work may be finished.
alter table works add column due date;

-- Minutes that are crocheted on each day of the week, Monday first.
create table evenings (
  one boolean primary key default true check (one),
  minutes jsonb not null
);
