-- What does not go as it should, from when it begins until it goes again.
create table trouble (
  id integer primary key generated always as identity,
  key text not null,
  grp integer references grp, -- null: the installation
  title text not null,
  place text not null,
  why text not null,
  since timestamptz not null,
  system_since timestamptz not null,
  told timestamptz, -- by mail
  mended timestamptz
);
create unique index on trouble (key) where mended is null;
create index on trouble (grp, mended);

-- What a search lost of its headings, as it was when it was last compared.
alter table alert add column lost text not null default '';
