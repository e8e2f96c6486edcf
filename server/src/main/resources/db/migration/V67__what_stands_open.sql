-- What stands open between the members of a group: kept beside the marks in their transaction, and
-- held against them every night.
create table unsettled (
  grp integer not null references grp,
  what text not null check (what in ('raised', 'waiting', 'readable', 'unsure', 'disputed')),
  occasion integer not null references occasion,
  event integer not null references review_event, -- the last mark that has a part in it
  primary key (grp, what, occasion)
);
create index on unsettled (occasion);
create index on unsettled (event);

insert into derived values ('what stands open', -1); -- worked out anew at the next start
