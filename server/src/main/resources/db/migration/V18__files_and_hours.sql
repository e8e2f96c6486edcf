-- Records come from files, too; sources are asked at hours that suit them, whole again, or no more.
alter table source
  add column files boolean not null default false, -- it has no address: files are loaded into it
  add column every_hours integer not null default 24,
  add column hour_from integer check (hour_from between 0 and 23), -- of UTC; null: at any hour
  add column hour_to integer check (hour_to between 0 and 23),
  add column whole boolean not null default false, -- the next harvest asks for everything
  add column ending timestamptz, -- what it supplied is being taken back, or was
  add constraint both_hours check ((hour_from is null) = (hour_to is null));

alter table harvest
  add column expected integer, -- records that the source said there are
  add column system_started timestamptz, -- of this try, to say how fast it is
  add column before_try integer not null default 0; -- records that were taken before this try

create table load (
  id integer primary key generated always as identity,
  name text not null, -- of the file, as people call it
  file text not null unique, -- in the folder loads of the data folder
  source_name text not null, -- of the source that it is loaded into
  bytes bigint not null,
  asked timestamptz not null,
  state text not null default 'waiting'
    check (state in ('waiting', 'running', 'done', 'broken', 'stopped')),
  after_no bigint, -- the last change of the catalogue before it
  read_bytes bigint not null default 0,
  records integer not null default 0, -- and where it goes on
  changed integer not null default 0,
  set_aside integer not null default 0,
  error text,
  started timestamptz,
  ended timestamptz
);
create index on load (state) where state in ('waiting', 'running');

-- Looking through what a source supplied, and taking it back page by page.
create index on source_record (source, id) where not deleted;
