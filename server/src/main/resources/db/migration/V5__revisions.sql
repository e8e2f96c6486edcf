-- Saved searches that change: what each revision did to the result, who checked it, when it was run.

alter table saved_search
  add column documented timestamptz, -- since when each change asks for a reason
  add column documented_by integer references membership;

alter table revision
  add column comment text not null default '',
  add column gained integer, -- against the revision before it, when it was made
  add column lost integer;

create table search_run (
  id integer primary key generated always as identity,
  revision integer not null references revision on delete cascade,
  membership integer not null references membership,
  count integer not null,
  lines jsonb not null, -- what each line found alone, and what was left after it
  as_of text not null,
  at timestamptz not null
);
create index on search_run (revision);

-- A revision that a member was asked to check, or checked unasked.
create table revision_check (
  revision integer not null references revision on delete cascade,
  checker integer not null references membership,
  asked_by integer references membership,
  asked timestamptz,
  checked timestamptz,
  primary key (revision, checker)
);
create index on revision_check (checker) where checked is null;

create table line_remark (
  id integer primary key generated always as identity,
  revision integer not null references revision on delete cascade,
  line text not null, -- the id of a line in the strategy
  membership integer not null references membership,
  text text not null check (text <> ''),
  at timestamptz not null
);
create index on line_remark (revision);
