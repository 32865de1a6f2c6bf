-- A wish being typed has a revision, so that two pages do not write over one another; and the page that wrote it last,
-- which may go on without having heard the answer.
alter table drafts add column revision integer not null default 1;
alter table drafts add column written_by uuid;
