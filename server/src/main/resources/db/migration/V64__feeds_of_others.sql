-- Feeds of others that groups follow: each a source of the group's own.
create table followed_feed (
  id integer primary key generated always as identity,
  pid text not null unique,
  grp integer not null references grp,
  source integer not null unique references source,
  address text not null, -- where it is fetched now
  title text not null, -- as it calls itself, or its list
  site text not null default '', -- the page that it belongs to
  membership integer not null references membership, -- who follows it for the group
  at timestamptz not null,
  tag text, -- ETag of the last answer
  changed text, -- Last-Modified of it
  system_due timestamptz not null, -- when it is asked next, or until when somebody is at it
  answered timestamptz, -- when it last answered as it should
  tries integer not null default 0, -- in vain, one after the other
  error text not null default '', -- of the last try
  entries integer not null default 0, -- that the last answer had
  unread integer not null default 0, -- of those, such as are no works, or too many
  ended timestamptz,
  unique (grp, address)
);
create index on followed_feed (system_due) where ended is null;
create index on followed_feed (membership);
