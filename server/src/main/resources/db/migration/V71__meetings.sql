-- A meeting of a group on works on which something stands open.
create table meeting (
  id integer primary key generated always as identity,
  pid text not null unique,
  grp integer not null references grp,
  at timestamptz not null, -- when it is to be held
  place text not null,
  called_by integer not null references membership,
  called timestamptz not null,
  sent timestamptz, -- when its agenda last went out by mail
  begun timestamptz,
  ended timestamptz,
  event integer, -- the last mark before it ended
  off boolean not null default false, -- called off
  version integer not null default 0
);
create index on meeting (grp, at);

create table meeting_present (
  meeting integer not null references meeting,
  membership integer not null references membership,
  primary key (meeting, membership)
);

-- The agenda: what stood open when the meeting began, and what was taken on since.
create table meeting_work (
  id integer primary key generated always as identity,
  meeting integer not null references meeting,
  occasion integer not null references occasion,
  why text not null check (why in ('raised', 'disputed')),
  unique (meeting, occasion)
);

-- What a group came to together on an occasion of a work; the last one of them counts.
create table decision (
  id integer primary key generated always as identity,
  grp integer not null references grp,
  meeting integer not null references meeting,
  occasion integer not null references occasion,
  what text not null check (what in ('keep', 'pass', 'open')),
  words text not null,
  event integer not null, -- the last mark before it: what is said later is not settled by it
  membership integer not null references membership, -- who wrote it down
  at timestamptz not null,
  folder integer references folder, -- where a keep was put
  reason integer -- with which reason
);
create index on decision (occasion);
create index on decision (meeting);

-- Whether it is the group that keeps it there; what a member takes back is not the group's.
alter table item_reason add column by_group boolean not null default false;
