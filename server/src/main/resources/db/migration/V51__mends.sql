-- What a group reads differently than it is supplied; it counts as long as the same is supplied.
create table mend (
  id integer primary key generated always as identity,
  grp integer not null references grp,
  publication integer not null references publication,
  field text not null, -- a CitedField
  supplied text not null, -- when it was mended
  value text not null,
  membership integer not null references membership,
  at timestamptz not null,
  unique (grp, publication, field)
);
create index on mend (publication);
create index on mend (membership);

-- Entries that somebody compared with the work itself; it counts as long as nothing of it changes.
create table entry_checked (
  grp integer not null references grp,
  publication integer not null references publication,
  state bigint not null, -- of what is read of it
  membership integer not null references membership,
  at timestamptz not null,
  primary key (grp, publication)
);
create index on entry_checked (publication);
create index on entry_checked (membership);
