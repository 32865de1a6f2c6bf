-- In the bin: out of sight, and gone for good after 30 days.
alter table works add column deleted_at timestamptz;
alter table log add column deleted_at timestamptz;
