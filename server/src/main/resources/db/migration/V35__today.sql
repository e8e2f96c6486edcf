-- What a group did since a member was here last; what was raised; who has looked at being mentioned.
alter table membership
  add column visit_last timestamptz, -- when the member was seen last
  add column visit_before timestamptz; -- when the visit before this one ended
alter table remark_mention add column seen timestamptz;
create index on action (grp, at);
create index on review_event (membership) where what = 'raise';
