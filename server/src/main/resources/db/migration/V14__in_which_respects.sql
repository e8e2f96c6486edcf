-- In which respects publications changed, by the words of core (ChangeKind).
update publication_change set kinds = array_replace(kinds, 'merged', 'joined');
alter table publication_change add constraint publication_change_kinds check (
  cardinality(kinds) > 0 and kinds <@ array['new', 'retracted', 'corrected', 'concern', 'final',
    'text', 'access', 'headings', 'cited', 'fields', 'supplied', 'joined', 'withdrawn', 'returned']);

-- Which works turned out to be one, when, and by whose record: as it was found, link by link.
-- publication.canonical is what it comes to today.
create table work_join (
  no bigint primary key generated always as identity,
  part integer not null references publication,
  whole integer not null references publication,
  source integer references source, -- none for those that were joined before this was written down
  at timestamptz not null
);
create index on work_join (part);
create index on work_join (whole);
insert into work_join (part, whole, at)
select p.id, p.canonical, coalesce(
  (select max(c.at) from publication_change c where c.publication = p.id and 'joined' = any(c.kinds)),
  p.came)
from publication p where p.canonical is not null order by p.id;
