-- Works come to a group again when they were retracted or corrected, and are told of when they
-- appeared or were taken back: each on an occasion of its own (core's Occasion). The key tells
-- occasions of one kind apart: what can happen once has none, else it is the number of the change.
alter table occasion drop constraint occasion_kind_check;
alter table occasion add constraint occasion_kind_check check (kind in
  ('first coming', 'retracted', 'corrected', 'concern', 'final', 'withdrawn'));

-- What an alert tells: works that are new to its search, or what changed of those that it finds.
alter table alert add column tells text not null default 'new' check (tells in ('new', 'changes'));

-- What stood in the folders that its search follows, when it was last held against all it finds.
alter table alert add column followed text not null default '';

-- Whether opening an entry of a feed marks it seen: chosen by the member whose feed it is.
alter table feed add column marks_seen boolean not null default false;
