-- A feed may be of other things than an alert; named as alert:ID, folder:ID, unreviewed.
alter table feed
  add column subject text,
  add column fetched timestamptz, -- when a reader last asked
  add column fetched_by text; -- what it called itself
update feed f set subject = 'alert:' || a.pid from alert a where a.id = f.alert;
alter table feed
  alter column subject set not null,
  drop column alert, -- and what was unique by it
  add unique (membership, subject, generation);
create unique index feed_live on feed (membership, subject) where revoked is null;
create index on feed (subject);
