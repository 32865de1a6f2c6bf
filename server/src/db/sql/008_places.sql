-- Steps are ordered by what each device had seen. Those made before stand by their time, as they did.
alter table ticks add column place bigint;
update ticks set place = at;
alter table ticks alter column place set not null;
drop index ticks_in_order;
create index ticks_in_order on ticks (work_id, place, id);
alter table progress rename column last_at to last_place;
