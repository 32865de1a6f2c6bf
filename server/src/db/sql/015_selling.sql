-- The currency of the maker, and what an hour of the hand is to earn.
alter table preferences add column currency text not null default '€';
alter table preferences add column rate double precision not null default 0;
