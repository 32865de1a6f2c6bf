-- How rows are written: compact, or as printed patterns are.
alter table preferences add column manner text not null default 'compact';
