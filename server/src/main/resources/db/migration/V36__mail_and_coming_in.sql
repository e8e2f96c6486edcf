-- Letters that leave the house, each written in the transaction of what it tells.
create table outbox (
  id bigint primary key generated always as identity,
  message_id text not null unique, -- the same however often it is sent
  grp integer references grp, -- on whose account it goes
  recipient text not null,
  subject text not null,
  body_text text not null, -- forgotten once it is sent: it may hold a link that lets somebody in
  body_html text not null,
  at timestamptz not null,
  state text not null check (state in ('waiting', 'sent', 'given up')),
  tries integer not null default 0,
  system_due timestamptz not null, -- the next try, or until when somebody is at it
  system_at timestamptz not null, -- when it was written
  trouble text, -- why the last try failed
  sent timestamptz
);
create index on outbox (system_due) where state = 'waiting';
create index on outbox (grp, system_at);

-- Somebody is asked into a group: by a link for one address, once, for seven days.
create table invitation (
  id integer primary key generated always as identity,
  pid text not null unique,
  grp integer not null references grp,
  email text not null check (email = lower(email)),
  role text not null check (role in ('coordinator', 'member', 'guest')),
  code bytea not null unique, -- SHA-256 of what stands in the link
  membership integer not null references membership, -- who asked
  letter bigint not null references outbox,
  at timestamptz not null,
  system_until timestamptz not null,
  used timestamptz,
  taken_back timestamptz
);
create index on invitation (grp, id);
create unique index invitation_open on invitation (grp, email)
  where used is null and taken_back is null;

-- What came before a member joined is not theirs to review.
alter table round_member add column spared integer not null default 0;
update derived set no = -1 where what = 'counts of rounds'; -- counted anew at the next start
