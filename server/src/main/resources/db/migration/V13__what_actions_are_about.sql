-- What an action changed decides whether it can be undone; what it is about is asked for by people.
alter table action rename column subjects to changes;
alter table action add column about text[] not null default '{}'; -- as folder:abc, by public id
alter table action drop column after;
create index on action using gin (about);
