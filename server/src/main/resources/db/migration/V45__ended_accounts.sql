-- A steward ended it: nobody signs in by it until a steward lets it be used again.
alter table account add column ended timestamptz;
