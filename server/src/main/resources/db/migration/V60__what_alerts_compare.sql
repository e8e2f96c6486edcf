-- Each alert is held against all that its search finds, every night and after a change of what it
-- depends on: by which state that was done last.
alter table alert add column compared text not null default '';

-- What headings, holdings or the calendar widen comes into a round only by choice.
alter table alert add column tells_widened boolean not null default false;

-- What an alert did not remember and its search found, without a change that it was still to see.
create table memory_difference (
  id integer generated always as identity primary key,
  alert integer not null references alert on delete cascade,
  at timestamptz not null,
  -- Where nothing the search depends on can have moved, it was missed.
  missed boolean not null,
  causes text[] not null,
  -- How many publications either set had, and those that were in the one only.
  remembered integer not null,
  found integer not null,
  works integer[] not null
);
create index on memory_difference (alert, at desc);
