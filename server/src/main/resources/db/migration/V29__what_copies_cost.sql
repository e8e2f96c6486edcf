-- What a copy costs, in the words of whoever says who lends.
alter table grp add column lender_cost text not null default '';
