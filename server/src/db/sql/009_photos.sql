-- The pictures of photos, beside the entries of the log that tell of them.
create table photos (
  work_id uuid not null references works (id),
  entry_id uuid not null,
  image bytea not null,
  -- For a list of many; none where the page that took it made none.
  small bytea,
  primary key (work_id, entry_id)
);
insert into photos (work_id, entry_id, image)
  select work_id, id, decode(split_part(entry ->> 'image', ',', 2), 'base64') from log
  where entry ->> 'kind' = 'photo' and entry ->> 'image' like 'data:image/jpeg;base64,%';
update log set entry = entry - 'image'
  where exists (select 1 from photos where photos.work_id = log.work_id and photos.entry_id = log.id);

-- Which bench this is: what waits in a browser for one is never given to another, and a page of the one that was there
-- before cannot write over it.
create table bench (
  one boolean primary key default true check (one),
  id uuid not null default gen_random_uuid()
);
insert into bench default values;
