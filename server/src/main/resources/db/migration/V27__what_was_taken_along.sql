-- A text that a member took along stands on their own trail beside what they opened.
alter table opening add column downloaded boolean not null default false;
