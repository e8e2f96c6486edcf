-- What a group may read, what stands in print at its library, and what a member may read by rights
-- of their own: a file (KBART) each.
alter table holdings_file drop constraint holdings_file_pkey,
  add column shelf text not null default 'group' check (shelf in ('group', 'printed', 'own')),
  add column owner integer references membership check ((owner is null) = (shelf <> 'own'));
alter table holdings_file alter column shelf drop default;
create unique index on holdings_file (grp, shelf, coalesce(owner, 0));

-- The libraries that lend to a group, in the order in which they are asked: name, address (empty:
-- members carry requests there), kinds that it lends, first and last year, what a copy costs.
alter table grp add column lenders jsonb not null default
  '[{"name": "", "address": "", "cost": "",
     "kinds": ["article", "review", "chapter", "conference paper", "book", "report"]}]';
update grp set lenders = jsonb_build_array(jsonb_build_object('name', lender_name,
  'address', lender_address, 'cost', lender_cost, 'kinds', to_jsonb(lends)));

-- Which of them is asked, by its name; empty where members carry requests to nobody known.
alter table copy_request add column lender text not null default '';
update copy_request r set lender = g.lender_name from grp g where g.id = r.grp and not r.author;

alter table grp drop column lends, drop column lender_name, drop column lender_address,
  drop column lender_cost;
