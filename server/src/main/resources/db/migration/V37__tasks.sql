-- Something to be looked up, noted for the group.
create table task (
  id integer primary key generated always as identity,
  pid text not null unique,
  grp integer not null references grp,
  publication integer references publication, -- that it is about; none: noted by hand
  remark integer references remark on delete set null, -- that it was made of
  doi text not null default '', -- of a cited work that was not here
  body text not null,
  owner integer references membership, -- none: whoever takes it
  due date,
  state text not null check (state in ('open', 'done', 'given up')),
  word text not null default '', -- what came of it, or why it was given up
  made_by integer not null references membership,
  made timestamptz not null,
  state_by integer references membership,
  stated timestamptz,
  version integer not null default 1
);
create index on task (grp, state, due);
create index on task (publication);
create index on task (owner) where state = 'open';
