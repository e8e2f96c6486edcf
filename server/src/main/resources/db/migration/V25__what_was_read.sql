-- What of a work a member says to have read; the newest word counts. Events, nothing is changed.
create table reading (
  id integer primary key generated always as identity,
  membership integer not null references membership,
  publication integer not null references publication,
  extent text not null check (extent in ('nothing', 'abstract', 'text')),
  at timestamptz not null
);
create index on reading (publication, membership, id);
