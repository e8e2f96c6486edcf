-- Under what name a work stands in files of references, for good: it is in manuscripts.
create table entry_key (
  id integer primary key generated always as identity,
  grp integer not null references grp,
  publication integer not null references publication,
  stem text not null, -- without the letters that tell it from others of the same
  key text not null,
  unique (grp, publication),
  unique (grp, key)
);
create index on entry_key (publication);
create index on entry_key (grp, stem);
