-- One letter a moment: what alerts brought, and what waits. See docs/decisions/019.

-- When letters come, in the account's zone; days as in ISO 8601, Monday 1.
alter table account
  add column letter_days smallint[] not null default '{1,2,3,4,5,6,7}',
  add column letter_hours time[] not null default '{07:00}',
  add column letters_at_once boolean not null default false, -- also when a round closes
  add column letters_of_nothing boolean not null default false, -- also where nothing came
  -- Letters that came back since somebody last said that the address works.
  add column returned integer not null default 0,
  add column returned_at timestamptz,
  add column returned_why text;
update account set letter_hours = array[letter_hour];
alter table account drop column letter_hour;

alter table membership
  drop column told_on,
  add column digest_due timestamptz, -- the next moment; null: still to be worked out
  add column rounds_told timestamptz, -- when rounds were last told; null: never
  add column rounds_from timestamptz; -- what closed before is no news; null: before they joined
-- What came before there were digests is in Arrivals, and no news.
update membership m set rounds_from = (
  select max(r.closed) from round r join alert a on a.id = r.alert where a.grp = m.grp);
create index on membership (digest_due) where left_at is null;

create table digest (
  id bigint primary key generated always as identity,
  membership integer not null references membership,
  day date not null, -- in the member's zone
  moment text not null,
  letter bigint references outbox on delete set null, -- null: there was nothing to tell
  at timestamptz not null,
  unique (membership, day, moment)
);

create table digest_item (
  membership integer not null references membership,
  arrival integer not null references arrival on delete cascade,
  digest bigint not null references digest on delete cascade,
  primary key (membership, arrival)
);
create index on digest_item (arrival);

-- Who gets an alert by mail: everybody, or those who are named; each member may say otherwise.
alter table alert add column for_all boolean not null default true;
create table alert_receiver (
  alert integer not null references alert on delete cascade,
  membership integer not null references membership,
  receives boolean not null,
  primary key (alert, membership)
);

alter table outbox
  add column unsubscribe text, -- address of RFC 8058; null: nothing to stop
  add column returned timestamptz; -- when it came back
