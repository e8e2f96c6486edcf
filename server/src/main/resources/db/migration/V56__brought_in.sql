-- Files of references that a member brings in: read, looked at, then taken into the catalogue as
-- records of the group's own.
create table brought (
  id integer primary key generated always as identity,
  pid text not null unique,
  grp integer not null references grp,
  membership integer not null references membership,
  state text not null default 'open'
    check (state in ('open', 'taking', 'taken', 'returning', 'returned')),
  folder integer references folder on delete set null, -- that it is taken into
  command uuid, -- by which it is taken; its marks are part of it
  error text, -- why taking stands still
  begun timestamptz not null,
  ended timestamptz -- when it was taken, or taken back
);
create index on brought (membership, id);
create index on brought (state) where state in ('taking', 'returning');

create table brought_file (
  brought integer not null references brought on delete cascade,
  n integer not null,
  name text not null,
  content bytea not null, -- empty once everything of it was taken
  columns jsonb not null default '{}', -- what columns of a table hold, where a member said it
  read boolean not null default false,
  format text not null default '',
  heads text[] not null default '{}', -- of a table
  primary key (brought, n)
);

create table brought_entry (
  brought integer not null,
  n integer not null, -- in the order of files and lines
  file integer not null,
  line integer not null, -- 0: the file has no lines
  identifier text not null, -- made of its contents
  record text not null, -- MODS
  shown jsonb not null, -- what lists show of it
  reason text not null, -- what was noted of it
  found text not null check (found in ('new', 'here', 'doubtful', 'twice')),
  by_key text not null default '', -- kind of the key that it is here by
  works integer[] not null default '{}', -- that it is, or that it may be
  faults text[] not null default '{}',
  decision text check (decision in ('same', 'another', 'out')),
  decided integer references publication, -- the one that it is
  outcome text check (outcome in ('added', 'joined', 'there', 'out', 'failed', 'returned', 'stays')),
  work integer references publication, -- that it was taken as
  known boolean not null default false, -- its record was there before
  item_reason integer, -- that it is kept for, where that was added
  event integer, -- the mark by it, where one was made
  primary key (brought, n),
  foreign key (brought, file) references brought_file on delete cascade
);
create index on brought_entry (brought, file);
create index on brought_entry (brought, n) where outcome is null;
create index on brought_entry (decided) where decided is not null;
create index on brought_entry (work) where work is not null;

create table brought_problem (
  brought integer not null,
  file integer not null,
  n integer not null,
  line integer not null, -- 0: the file has no lines
  sentence text not null,
  primary key (brought, file, n),
  foreign key (brought, file) references brought_file on delete cascade
);

-- What columns of tables held the last time that a group brought one with these heads.
create table columns_known (
  grp integer not null references grp,
  heads text[] not null,
  columns jsonb not null,
  primary key (grp, heads)
);

-- Records that a person said are of another work than one that they are like.
create table kept_apart (
  source integer not null references source,
  identifier text not null,
  publication integer not null references publication,
  primary key (source, identifier, publication)
);
create index on kept_apart (publication);
