-- A group's shared drive, spoken to by WebDAV, and what stands on it.
create table drive (
  grp integer primary key references grp,
  address text not null, -- of a folder, with a slash at its end
  name text not null, -- who the group is there
  password bytea not null, -- sealed
  membership integer references membership, -- who set it
  tried timestamptz not null -- when it last did what it should
);

create table drive_file (
  id integer primary key generated always as identity,
  pid text not null unique,
  grp integer not null references grp,
  membership integer not null references membership, -- in whose name it is written
  path text not null, -- below the group's folder there
  title text not null, -- of what it is
  folder text, -- public id of the folder that it is of
  wanted jsonb not null, -- what it is
  kept boolean not null, -- whether it is kept up to date
  state text not null default 'waiting' check (state in ('waiting', 'written', 'failed')),
  trouble text not null default '', -- why the last try failed
  taken boolean not null default false, -- whether something else stands there
  over boolean not null default false, -- whether that may be written over
  tries integer not null default 0,
  due timestamptz, -- when it is looked at next
  sending bytea, -- digest of what is being sent
  sent bytea, -- digest of what was sent last
  meaning bytea, -- digest of what that says
  tag text not null default '', -- the drive's entity tag of it
  size bigint not null default 0,
  works integer not null default 0,
  put timestamptz not null,
  written timestamptz,
  -- The newest number of both when it was last looked at.
  seen_action bigint not null default 0,
  seen_change bigint not null default 0,
  ended timestamptz -- no longer looked after; it stays on the drive
);
create unique index on drive_file (grp, lower(path)) where ended is null;
create index on drive_file (grp, id);
create index on drive_file (due) where ended is null;
create index on drive_file (membership);
