-- How many steps a work has: what was counted from them stands for as long as there are no others.
alter table progress add column steps integer not null default 0;
update progress set steps = (select count(*) from ticks where ticks.work_id = progress.work_id);
