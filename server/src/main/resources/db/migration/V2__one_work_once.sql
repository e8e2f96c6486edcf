-- One work once: records of several sources under one publication.

-- Keys by which records of the same work find each other (core's SameWork).
create table work_key (
  source_record integer not null references source_record,
  value text not null,
  primary key (source_record, value)
);
create index on work_key (value);
create index on publication (canonical) where canonical is not null;

-- Two that may be the same work; for a person to decide.
create table doubtful_pair (
  publication integer not null references publication,
  other integer not null references publication,
  at timestamptz not null,
  primary key (publication, other),
  check (publication < other)
);

-- With which edition of core's RecordReader the kept records were read.
alter table installation add column reading_edition integer not null default 2;
update installation set reading_edition = 1 where exists (select 1 from source_record);

-- Before then a source does not want to be asked again; of system time.
alter table harvest add column system_not_before timestamptz;
