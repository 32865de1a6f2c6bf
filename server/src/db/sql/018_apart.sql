-- Whether each front or back that is on the hook is an item of its own: a list need not unpack every cloth.
alter table works add column begun_apart boolean generated always as (
  begun is not null and coalesce(begun -> 'apart' = 'true'::jsonb, false)) stored;
