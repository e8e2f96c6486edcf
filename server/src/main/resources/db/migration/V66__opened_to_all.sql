-- That a work can be read by everybody since is told to those who keep it, and by alerts on what changes.
alter table publication_change drop constraint publication_change_kinds;
alter table publication_change add constraint publication_change_kinds check (
  cardinality(kinds) > 0 and kinds <@ array['new', 'retracted', 'corrected', 'concern', 'final', 'opened',
    'text', 'access', 'headings', 'cited', 'fields', 'supplied', 'joined', 'withdrawn', 'returned']);
drop index publication_change_at_idx;
create index publication_change_at_idx on publication_change (at)
  where kinds && array['retracted', 'corrected', 'concern', 'final', 'opened', 'withdrawn'];
alter table occasion drop constraint occasion_kind_check;
alter table occasion add constraint occasion_kind_check check (kind in
  ('first coming', 'retracted', 'corrected', 'concern', 'final', 'opened', 'withdrawn'));
