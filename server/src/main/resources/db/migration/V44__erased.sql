-- A person who had everything about them erased. What they said in their groups stays, nobody's.
alter table account add column erased timestamptz;
