-- Addresses outside that somebody wanted to follow, and what became of them when they were tried.
create table address (
  url text primary key,
  state text not null default 'not tried'
    check (state in ('not tried', 'works', 'asks for sign-in', 'moved', 'dead')),
  moved_to text, -- where it leads for good
  tried timestamptz, -- by the calendar
  good timestamptz, -- when it worked last
  failures integer not null default 0, -- one after the other
  system_due timestamptz not null
);
create index on address (system_due);
