-- A letter may have a file, and an address that answers go to; both are forgotten once it is sent.
alter table outbox
  add column reply_to text,
  add column file_name text,
  add column file_type text,
  add column file bytea;

-- Publications that a member sent by mail.
create table sending (
  id integer primary key generated always as identity,
  pid text not null unique,
  grp integer not null references grp,
  membership integer not null references membership,
  name text not null, -- of what was sent
  works integer not null,
  file text not null, -- name of the file that went along; may be empty
  at timestamptz not null
);
create index on sending (membership, at);
create table sending_letter (
  sending integer not null references sending on delete cascade,
  letter bigint primary key references outbox on delete cascade
);
create index on sending_letter (sending);
