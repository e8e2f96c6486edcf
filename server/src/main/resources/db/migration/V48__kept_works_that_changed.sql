-- What happened to works that the members who keep them should know, found without reading all changes.
create index on publication_change (at)
  where kinds && array['retracted', 'corrected', 'concern', 'final', 'withdrawn'];
