-- A text as it came, once however many groups have it. Known by the hash of its content.
create table text_file (
  hash bytea primary key,
  form text not null check (form in ('pdf', 'html')),
  content bytea not null,
  size integer not null,
  title text not null, -- as the file says
  html text not null, -- of a page of the web, cleaned; else empty
  parts jsonb not null, -- chapters, sections, figures, tables
  words boolean not null -- whether it has any; a scanned one has none
);
-- Pieces of it are read without unpacking it.
alter table text_file alter column content set storage external;

-- The words of its pages.
create table text_page (
  hash bytea not null references text_file on delete cascade,
  no integer not null, -- from 0
  label text not null, -- the number on it; empty where there are no pages
  words text not null,
  primary key (hash, no)
);

-- A text of a publication that a group has, and nobody else (rule T4).
create table text_copy (
  id integer primary key generated always as identity,
  pid text not null unique,
  grp integer not null references grp,
  publication integer not null references publication,
  hash bytea not null references text_file,
  version text not null,
  origin text not null check (origin in ('fetched', 'brought in')),
  address text, -- where it was fetched
  name text not null, -- of the file
  licence text not null, -- what its use is bound to, in somebody's words; may be empty
  doubt text check (doubt in ('other work', 'abstract')),
  membership integer not null references membership,
  at timestamptz not null,
  gone timestamptz, -- when it was taken out
  unique (grp, publication, hash)
);
create index on text_copy (publication);
create index on text_copy (hash);

-- Grows whenever a text comes to a group or leaves it: what is remembered of them is read again.
alter table grp add column texts integer not null default 0;
