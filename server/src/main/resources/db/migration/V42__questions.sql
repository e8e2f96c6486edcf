-- What somebody asks a colleague, or whoever is the group's librarian, with what they look at.
create table question (
  id integer primary key generated always as identity,
  pid text not null unique,
  grp integer not null references grp,
  asked_by integer not null references membership,
  asked integer references membership, -- none: the librarians
  body text not null,
  place text not null, -- the address that was looked at, below the group's
  found integer, -- by the sheet, when it was asked
  made timestamptz not null,
  closed timestamptz,
  took integer, -- the word whose sheet was taken
  version integer not null default 1
);
create index on question (grp, asked_by);
create index on question (grp, asked);

-- What is said to it, by either side; with another sheet, where one is proposed.
create table question_word (
  id integer primary key generated always as identity,
  pid text not null unique,
  question integer not null references question on delete cascade,
  by integer not null references membership,
  body text not null,
  q text, -- the proposed sheet, by its address
  found integer,
  at timestamptz not null
);
create index on question_word (question);
alter table question add foreign key (took) references question_word on delete set null;

-- Some are told that are neither all nor one: who did it, and the people whom it is about.
alter table action drop constraint action_visible_to_check;
alter table action add constraint action_visible_to_check
  check (visible_to in ('me', 'those', 'group', 'opening'));
