-- The newest notes of a group without looking at all of them.
create index on margin_note (grp, id desc);
