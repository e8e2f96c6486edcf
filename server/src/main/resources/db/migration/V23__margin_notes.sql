-- What a member wrote at a passage of a text. It holds to the passage, never to a file (rule T3).
create table margin_note (
  id integer primary key generated always as identity,
  pid text not null unique,
  grp integer not null references grp,
  publication integer not null references publication,
  membership integer not null references membership,
  kind text not null check (kind in ('note', 'question', 'task')),
  body text not null, -- may be empty: the passage alone
  version text not null, -- of the text in which it was written
  label text not null, -- the number on the page, as it was read
  quote text not null,
  before text not null,
  after text not null,
  page integer not null,
  start integer not null,
  shared boolean not null,
  done boolean not null, -- of a task
  at timestamptz not null,
  changed timestamptz not null,
  gone timestamptz
);
create index on margin_note (grp, publication);
create index on margin_note (publication);

-- What others say to one that is shared.
create table margin_remark (
  id integer primary key generated always as identity,
  note integer not null references margin_note,
  membership integer not null references membership,
  body text not null,
  at timestamptz not null
);
create index on margin_remark (note);
