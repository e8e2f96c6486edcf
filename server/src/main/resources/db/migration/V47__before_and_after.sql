-- What an act changed, for readers: [{"of": "NAME", "was": "…", "is": "…"}]. Older acts tell none.
alter table action add column differences jsonb not null default '[]';
