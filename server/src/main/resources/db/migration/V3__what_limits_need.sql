-- What limits need: trees of terms, what is known of journals, what groups may read.

update publication set fields = fields
  || '{"studied": {"kinds": [], "taxa": [], "regions": [], "stages": [], "sexes": []},
       "figures": null, "cited": {"known": false, "dois": []}}';

-- Everything that counts depend on besides the catalogue has an edition, which grows.
create table edition (
  kind text primary key check (kind in ('vocabulary', 'journals', 'holdings')),
  no integer not null
);
insert into edition values ('vocabulary', 0), ('journals', 0), ('holdings', 0);

create table concept (
  id integer primary key generated always as identity,
  scheme text not null,
  uri text not null unique,
  label text not null,
  names text[] not null, -- other names
  broader text[] not null -- URIs
);
create index on concept (scheme);

create table journal (
  id integer primary key generated always as identity,
  issn text not null unique,
  title text not null,
  publisher text not null,
  peer_reviewed_from integer -- none: its articles are not reviewed
);

alter table grp drop column holdings_edition;
alter table grp add column lends text[] not null default
  '{article,review,chapter,conference paper,book,report}';

-- What a group may read, as supplied (KBART).
create table holdings_file (
  grp integer primary key references grp,
  file text not null,
  name text not null,
  membership integer references membership,
  at timestamptz not null
);

create table limit_set (
  id integer primary key generated always as identity,
  pid text not null unique,
  grp integer not null references grp,
  name text not null check (name <> ''),
  limits jsonb not null, -- lines as in a stored strategy
  membership integer not null references membership,
  at timestamptz not null
);
create unique index limit_set_name on limit_set (grp, lower(name));

-- What a member opened, and by which step; the member's own (R3).
create table opened (
  membership integer not null references membership,
  publication integer not null references publication,
  step integer references step,
  at timestamptz not null,
  primary key (membership, publication)
);
