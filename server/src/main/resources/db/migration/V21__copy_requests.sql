-- Who lends copies to a group; without an address its members carry requests there by themselves.
alter table grp add column lender_name text not null default '',
  add column lender_address text not null default '';

-- A copy of a work that somebody in a group asked for.
create table copy_request (
  id integer primary key generated always as identity,
  pid text not null unique,
  grp integer not null references grp,
  publication integer not null references publication,
  state text not null check (state in
    ('asked', 'sent', 'asked back', 'delivered', 'refused', 'expired', 'withdrawn')),
  note text not null, -- what the library should know
  asked timestamptz not null,
  ended timestamptz, -- delivered, refused or withdrawn
  reference text, -- where the library tells of it
  question text, -- what it wants to know
  to_tell text, -- the answer, until it is told
  reason text, -- why it is refused
  link text, -- where the copy is
  until timestamptz, -- how long it is there
  trouble text, -- why the library could not be reached
  looked timestamptz, -- when it was last asked how it stands, by the calendar
  system_due timestamptz not null
);
-- One that is still open at a time (rule T2).
create unique index on copy_request (grp, publication)
  where state in ('asked', 'sent', 'asked back');
create index on copy_request (publication);
create index on copy_request (system_due) where state in ('asked', 'sent', 'asked back', 'delivered');

-- Who wants it; the first one asked, the others joined.
create table copy_request_member (
  request integer not null references copy_request,
  membership integer not null references membership,
  at timestamptz not null,
  primary key (request, membership)
);
