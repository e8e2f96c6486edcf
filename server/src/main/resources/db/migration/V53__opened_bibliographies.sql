-- Whether whoever has a folder's address reads its agreed annotations, too.
alter table folder_link add column annotated boolean not null default false;
