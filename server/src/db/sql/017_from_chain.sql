-- Whether the foundation chain of what is on the hook is a step of its counter: a list need not unpack every cloth.
alter table works add column begun_chain boolean generated always as (
  begun is not null and coalesce(begun -> 'fromChain' = 'true'::jsonb, false)) stored;
