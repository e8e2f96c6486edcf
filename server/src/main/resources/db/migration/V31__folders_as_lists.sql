-- Where a member put an item by hand, from small to large; empty: nobody did.
alter table item add column place double precision;
