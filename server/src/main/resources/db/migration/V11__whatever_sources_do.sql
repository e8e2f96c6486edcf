-- What sources do wrong ends as a row that people can read.

alter table harvest add failures integer not null default 0; -- one after the other, without progress

-- Their own time was kept unread; what cannot be one would have kept every later harvest from starting.
update harvest set first_response = null
where first_response !~ '^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d(\.\d+)?Z$'
  or first_response > to_char(ended at time zone 'UTC' + interval '2 days', 'YYYY-MM-DD');

alter table source add asked timestamptz; -- system time; somebody wants it to be tried now

create table harvest_try (
  id integer primary key generated always as identity,
  source integer not null references source,
  at timestamptz not null,
  pages integer not null,
  taken integer not null,
  changed integer not null,
  set_aside integer not null,
  error text, -- why it broke off, if it did
  moved_to text -- the address to which the source leads for good, if it does
);
create index on harvest_try (source, id);

create table record_set_aside (
  source integer not null references source,
  identifier text not null,
  why text not null,
  raw text not null, -- the beginning of what came
  at timestamptz not null,
  primary key (source, identifier)
);
