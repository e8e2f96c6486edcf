-- Stewards add sources by their addresses and look after them.
alter table source
  add column oai_set text not null default '', -- only this part is harvested; empty: all
  add column paused boolean not null default false;
