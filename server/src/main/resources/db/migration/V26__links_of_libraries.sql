-- Where a group's library finds texts for OpenURLs; empty: nowhere.
alter table grp add column resolver_name text not null default '',
  add column resolver_address text not null default '';

-- A copy of something that is not in the catalogue: as an OpenURL describes it.
alter table copy_request alter column publication drop not null,
  add column described text,
  add check ((publication is null) = (described is not null));
create unique index on copy_request (grp, md5(described))
  where state in ('asked', 'sent', 'asked back');
