-- Days of the group's zone on which a member is away: what comes then is not theirs to review.
create table absence (
  id integer primary key generated always as identity,
  pid text not null unique,
  membership integer not null references membership,
  from_day date not null,
  to_day date check (to_day >= from_day), -- the last; none: until further notice
  at timestamptz not null
);
create index on absence (membership);
