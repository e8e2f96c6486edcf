-- What is kept so that nothing falls out of sight: marks in force, counts of rounds, runs of alerts,
-- openings as events, and things that end instead of disappearing.

-- Marks: an undo names the mark that it takes back; lamps are what stands of the events.

alter table review_event add column undoes integer references review_event;

with deep as (
  select id, membership, occasion, what,
    sum(case what when 'undo' then -1 else 1 end)
      over (partition by membership, occasion order by id) as depth
  from review_event)
update review_event u set undoes = (
  select max(m.id) from deep d join deep m
    on m.membership = d.membership and m.occasion = d.occasion and m.id < d.id
  where d.id = u.id and m.what <> 'undo' and m.depth = d.depth + 1)
where u.what = 'undo';

create index on review_event (undoes) where undoes is not null;
create index on review_event (command);

create table lamp (
  membership integer not null references membership,
  occasion integer not null references occasion,
  event integer not null references review_event, -- the mark in force
  primary key (membership, occasion)
);
create index on lamp (occasion);

insert into lamp (membership, occasion, event)
select membership, occasion, max(id) from review_event e
where what <> 'undo' and not exists (select 1 from review_event u where u.undoes = e.id)
group by membership, occasion;

-- How far a round is; kept in the transaction of the mark, compared with the events every night.

alter table round
  add column found boolean not null default false, -- whether there is anything in it
  add column arrivals integer not null default 0,
  add column covered integer not null default 0,
  add column nobody integer not null default 0;

update round r set found = true where exists (select 1 from finding n where n.round = r.id);
create index on round (alert, n);

create table round_member (
  round integer not null references round on delete cascade,
  membership integer not null references membership,
  reviewed integer not null,
  primary key (round, membership)
);

-- Up to which change of the catalogue something that is derived is true.
create table derived (
  what text primary key,
  no bigint not null
);
insert into derived values ('counts of rounds', -1); -- counted anew at the next start

create table nightly_check (
  what text primary key,
  day date not null, -- of the calendar
  differences integer not null,
  at timestamptz not null
);

-- Alerts: runs are rows, what breaks one is set aside by name, ended ones stay.

create table alert_run (
  id integer primary key generated always as identity,
  alert integer not null references alert on delete cascade,
  after_no bigint not null,
  up_to_no bigint not null,
  sources integer[] not null, -- whose harvests ended since the run before
  found integer not null,
  millis integer not null,
  error text not null, -- empty: it went well
  at timestamptz not null
);
create index on alert_run (alert, id);

alter table alert
  add column ran timestamptz, -- when it last ran well
  add column ended timestamptz;
alter table alert drop constraint alert_revision_key;
create unique index alert_watches on alert (revision) where state <> 'ended';

alter table set_aside
  add column alert integer references alert on delete cascade,
  add column edition integer not null default 0, -- of core's RecordReader
  add column resolved timestamptz;
create index on set_aside (alert) where resolved is null;

alter table harvest add column after_no bigint not null default 0; -- the last change before it

-- What a member opened: events.

create table opening (
  id integer primary key generated always as identity,
  membership integer not null references membership,
  publication integer not null references publication,
  step integer references step,
  at timestamptz not null
);
insert into opening (membership, publication, step, at)
select membership, publication, step, at from opened order by at;
create index on opening (membership, publication);
create index on opening (membership, id);
create index on opening (step);
drop table opened;

-- Commands that are about several things at once.

alter table action add column subjects text[] not null default '{}';
update action set subjects = array[subject];
alter table action drop column subject;
create index on action using gin (subjects);

-- Folders and saved searches end; their names are free again.

alter table folder add column ended timestamptz;
drop index folder_name;
create unique index folder_name
  on folder (grp, coalesce(owner, 0), coalesce(parent, 0), lower(name)) where ended is null;

alter table saved_search add column ended timestamptz;
drop index saved_search_name;
create unique index saved_search_name on saved_search (folder, lower(name)) where ended is null;

alter table limit_set add column ended timestamptz;
drop index limit_set_name;
create unique index limit_set_name on limit_set (grp, lower(name)) where ended is null;

-- Which source may show its abstracts to anyone; when a record was last supplied.

alter table source add column abstracts_open boolean not null default false;

alter table source_record add column supplied timestamptz;
update source_record set supplied = came;
alter table source_record alter column supplied set not null;
alter table source_record add column supply bigint; -- order of supplying, over all sources
create sequence supply_no;
update source_record r set supply = o.n
from (select id, row_number() over (order by id) as n from source_record) o where o.id = r.id;
select setval('supply_no', (select count(*) + 1 from source_record));
alter table source_record alter column supply set not null;

create index on publication_change (publication, at);
