-- What one looks journals up by.

alter table journal
  add column discipline text not null default '',
  add column since integer, -- year of the first volume
  add column former_title text not null default '', -- empty: it was always called so
  add column former_until integer;
