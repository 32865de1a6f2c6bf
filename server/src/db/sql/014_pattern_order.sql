-- Where a pattern of the maker's own stands among the others, once they were put in order by hand; new ones stand first.
alter table patterns add column place integer;
