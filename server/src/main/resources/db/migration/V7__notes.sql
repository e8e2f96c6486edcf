-- Written accounts kept in folders, as they were on a day.

create table note (
  id integer primary key generated always as identity,
  pid text not null unique,
  folder integer not null references folder on delete cascade,
  title text not null,
  of text not null, -- the name of the account, which can be asked for again
  blocks jsonb not null, -- what it said
  membership integer not null references membership,
  at timestamptz not null
);
create index on note (folder);
