-- What a group says of a work below its entry in the bibliography of a folder. It goes where the
-- work goes, and waits where the work was taken out.
create table annotation (
  id integer primary key generated always as identity,
  folder integer not null references folder on delete cascade,
  publication integer not null references publication,
  writer integer not null references membership,
  body text not null, -- empty: there is none
  state text not null check (state in ('draft', 'to be read', 'agreed')),
  agreed_by integer references membership, -- while it is agreed
  at timestamptz not null, -- of its words
  version integer not null, -- counts every change of it
  unique (folder, publication)
);
create index on annotation (publication);
create index on annotation (writer);
create index on annotation (agreed_by);

-- All words that it had, the present ones too.
create table annotation_wording (
  annotation integer not null references annotation on delete cascade,
  n integer not null,
  membership integer not null references membership,
  body text not null,
  at timestamptz not null,
  primary key (annotation, n)
);
create index on annotation_wording (membership);

-- What colleagues say of some words of it, or would write instead of them.
create table annotation_remark (
  id integer primary key generated always as identity,
  pid text not null unique,
  annotation integer not null references annotation on delete cascade,
  membership integer not null references membership,
  words text not null, -- that it is about; empty: all of it
  before text not null,
  after text not null,
  start integer not null,
  instead text, -- what would stand there; none for a remark alone
  body text not null,
  at timestamptz not null,
  outcome text not null default 'open' check (outcome in ('open', 'taken', 'left')),
  outcome_by integer references membership,
  outcome_at timestamptz
);
create index on annotation_remark (annotation);
create index on annotation_remark (membership);
create index on annotation_remark (outcome_by);

-- Undoing a copy of a folder removes how its bibliography was set.
alter table bibliography drop constraint bibliography_folder_fkey,
  add foreign key (folder) references folder on delete cascade;

-- Headings of a bibliography, in their order, and the entries below them.
create table chapter (
  id integer primary key generated always as identity,
  folder integer not null references folder on delete cascade,
  n integer not null,
  name text not null
);
create unique index on chapter (folder, lower(name));

create table chapter_entry (
  folder integer not null references folder on delete cascade,
  publication integer not null references publication,
  chapter integer not null references chapter on delete cascade,
  primary key (folder, publication)
);
create index on chapter_entry (publication);
create index on chapter_entry (chapter);

-- Works that an entry is used for without having been read: what it quotes of them is cited.
create table quoted_through (
  id integer primary key generated always as identity,
  pid text not null unique,
  folder integer not null references folder on delete cascade,
  publication integer not null references publication, -- that was read
  described text not null, -- the one that was not
  doi text not null, -- of that one; may be empty
  task integer references task on delete set null, -- to read it
  membership integer not null references membership,
  at timestamptz not null
);
create index on quoted_through (folder);
create index on quoted_through (publication);
create index on quoted_through (task);
create index on quoted_through (membership);
