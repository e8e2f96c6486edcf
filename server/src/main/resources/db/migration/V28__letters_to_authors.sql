-- A copy that was asked of the author: a member wrote the letter and says what became of it.
alter table copy_request add column author boolean not null default false;
drop index copy_request_grp_publication_idx;
create unique index on copy_request (grp, publication, author)
  where state in ('asked', 'sent', 'asked back');
