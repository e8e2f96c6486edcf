-- What a folder is for, in a few words.
alter table folder add column description text not null default '';
