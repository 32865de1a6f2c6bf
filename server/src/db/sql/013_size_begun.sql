-- Size and mark of what is on the hook, beside it: a list of many projects need not unpack every cloth.
alter table works add column begun_rows integer generated always as (
  case when jsonb_typeof(begun -> 'courses') = 'array' then jsonb_array_length(begun -> 'courses') end) stored;
alter table works add column begun_stitches integer generated always as (
  case when jsonb_typeof(begun -> 'stitches') = 'number'
    then least(trunc((begun ->> 'stitches')::numeric), 2147483647)::integer end) stored;
alter table works add column begun_mark text generated always as (md5(begun::text)) stored;
