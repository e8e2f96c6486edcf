-- An alert whose arrivals are decided on apart: since when. What was found before is not.
alter table alert drop column sealed;
alter table alert add column apart timestamptz;

-- What covers an arrival of an alert: any mark, verdicts, or verdicts that are decided on apart.
create function alert_covers(a alert) returns text language sql immutable as $$
  select case when a.apart is not null then 'apart' when a.verdicts then 'verdict' else 'mark' end
$$;

-- What a mark truly says that nobody but its writer may read yet. Its event says only what is told
-- of it, so that whatever reads events cannot tell more.
create table sealed_mark (
  event integer primary key references review_event,
  what text not null check (what in ('keep', 'pass', 'raise', 'hold', 'hold for text', 'seen', 'rest')),
  reason text not null,
  folder integer references folder -- where a keep goes when it is opened
);

-- When the marks of a group on an occasion were opened, and what was in force then.
create table unsealing (
  id integer primary key generated always as identity,
  grp integer not null references grp,
  occasion integer not null references occasion,
  asked integer not null, -- how many had to decide
  at timestamptz not null,
  unique (grp, occasion)
);
create table unsealed_mark (
  event integer primary key references review_event,
  unsealing integer not null references unsealing,
  what text not null,
  apart boolean not null, -- said before anything of others could be read
  folder integer references folder, -- where a keep was put
  reason integer -- with which reason in that folder
);
create index on unsealed_mark (unsealing);
