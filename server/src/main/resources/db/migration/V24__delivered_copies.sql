-- A copy that was delivered is kept as a text of the group, where the library lets it.
alter table copy_request
  add column use text not null default '', -- what its use is bound to, in the library's words
  add column kept boolean not null default true, -- whether the group may keep it
  add column text integer references text_copy on delete set null;
alter table text_copy drop constraint text_copy_origin_check;
alter table text_copy add constraint text_copy_origin_check
  check (origin in ('fetched', 'brought in', 'delivered'));
create index on copy_request (text);
