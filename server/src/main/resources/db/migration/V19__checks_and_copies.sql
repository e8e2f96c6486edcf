-- What is derived is held against what it is derived from when somebody asks, too.
create table check_run (
  id integer primary key generated always as identity,
  mend boolean not null, -- whether it may put right what it can
  asked timestamptz not null,
  started timestamptz,
  ended timestamptz,
  found jsonb -- what was checked, in order, with how much was not so
);

-- Whether what was found in the night was put right; what is not derived is only told.
alter table nightly_check add column mended boolean not null default true;

-- Copies of the installation, as the script noted them.
create table backup (
  id integer primary key generated always as identity,
  at timestamptz not null,
  place text not null,
  bytes bigint not null
);

-- How the people who run it call it; empty until somebody says so.
alter table installation add column name text not null default '';
