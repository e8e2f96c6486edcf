-- What members say to the group of a publication, wherever it stands. An answer belongs to a
-- remark that is none.
create table remark (
  id integer primary key generated always as identity,
  pid text not null unique,
  grp integer not null references grp,
  publication integer not null references publication,
  membership integer not null references membership,
  answers integer references remark,
  body text not null check (body <> ''),
  at timestamptz not null,
  changed timestamptz, -- when it was written anew
  gone timestamptz, -- when it was taken back
  settled timestamptz,
  settled_by integer references membership
);
create index on remark (grp, publication);
create index on remark (publication);
create index on remark (answers);

-- Whom a remark asks to look.
create table remark_mention (
  remark integer not null references remark on delete cascade,
  membership integer not null references membership,
  primary key (remark, membership)
);
create index on remark_mention (membership);
