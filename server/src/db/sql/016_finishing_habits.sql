-- How a maker fastens the last loop, and what is done with ends.
alter table preferences add column last_loop text not null default 'drawn';
alter table preferences add column ends text not null default 'woven';
