-- Headings: what they are used for, what stands beside them, what became of them.

alter table concept
  add column related text[] not null default '{}', -- URIs
  add column note text not null default '',
  add column aspects text[] not null default '{}', -- URIs
  add column retired boolean not null default false,
  add column replaced_by text[] not null default '{}', -- URIs
  add column former text[] not null default '{}'; -- names it had before
