-- The first tables. Row numbers (id) never leave the server; pid is the public id.
-- Every date a person sees is of the calendar clock; columns named system_* are of system time.

create table installation (
  one boolean primary key default true check (one),
  id uuid not null,
  calendar_offset bigint not null default 0 -- milliseconds from system time to the calendar
);
insert into installation (id) values (gen_random_uuid());

-- People

create table account (
  id integer primary key generated always as identity,
  email text not null unique check (email = lower(email)),
  password_hash text not null,
  steward boolean not null default false,
  zone text not null
);

create table sign_in_failure (
  email text not null,
  system_at timestamptz not null
);
create index on sign_in_failure (email, system_at);

create table grp (
  id integer primary key generated always as identity,
  pid text not null unique,
  name text not null,
  zone text not null,
  holdings_edition integer not null default 0
);

create table membership (
  id integer primary key generated always as identity,
  pid text not null unique,
  grp integer not null references grp,
  account integer not null references account,
  role text not null check (role in ('coordinator', 'member', 'guest')),
  name text not null,
  letters text not null,
  joined timestamptz not null,
  left_at timestamptz,
  unique (grp, account),
  unique (grp, letters)
);
create index on membership (account);

-- Supply and catalogue

create table source (
  id integer primary key generated always as identity,
  key text not null unique,
  grp integer references grp,
  name text not null,
  base_url text not null,
  format text not null,
  rank integer not null
);

create table harvest (
  id integer primary key generated always as identity,
  source integer not null references source,
  from_stamp text,
  token text,
  first_response text,
  state text not null check (state in ('running', 'done', 'failed')),
  taken integer not null default 0,
  changed integer not null default 0,
  error text,
  started timestamptz not null,
  ended timestamptz
);
create unique index on harvest (source) where state = 'running';
create index on harvest (source, id);

create table publication (
  id integer primary key generated always as identity,
  pid text not null unique,
  grp integer references grp,
  canonical integer references publication,
  withdrawn timestamptz,
  came timestamptz not null,
  fields jsonb not null, -- the winning values, core's Publication
  hash bytea not null
);

create table source_record (
  id integer primary key generated always as identity,
  source integer not null references source,
  identifier text not null,
  publication integer references publication,
  format text not null,
  raw text not null,
  datestamp text not null,
  deleted boolean not null,
  came timestamptz not null,
  problems text[] not null,
  unique (source, identifier)
);
create index on source_record (publication);

create table publication_change (
  no bigint primary key generated always as identity,
  publication integer not null references publication,
  kinds text[] not null,
  at timestamptz not null
);

create table set_aside (
  publication integer not null references publication,
  no bigint not null,
  what text not null, -- index or alert
  why text not null,
  at timestamptz not null
);

-- What members do

create table action (
  no bigint primary key generated always as identity,
  command uuid not null unique,
  grp integer not null references grp,
  membership integer references membership, -- none: the lantern itself
  what text not null,
  subject text not null,
  visible_to text not null check (visible_to in ('me', 'group', 'opening')),
  before jsonb not null,
  after jsonb not null,
  answer jsonb not null,
  undone_by uuid,
  at timestamptz not null
);
create index on action (grp, no);
create index on action (grp, subject, no);

create table folder (
  id integer primary key generated always as identity,
  pid text not null unique,
  grp integer not null references grp,
  owner integer references membership, -- none: the group's
  parent integer references folder,
  name text not null check (name <> ''),
  at timestamptz not null
);
create unique index folder_name on folder (grp, coalesce(owner, 0), coalesce(parent, 0), lower(name));

create table kept_strategy (
  id integer primary key generated always as identity,
  pid text not null unique,
  grp integer not null references grp,
  strategy jsonb not null,
  hash bytea not null,
  at timestamptz not null,
  unique (grp, hash)
);

create table step (
  id integer primary key generated always as identity,
  pid text not null unique,
  membership integer not null references membership,
  strategy integer not null references kept_strategy,
  ordered text not null,
  count_before integer,
  count integer not null,
  as_of text not null,
  at timestamptz not null
);
create index on step (membership, id);

create table item (
  id integer primary key generated always as identity,
  folder integer not null references folder,
  publication integer not null references publication,
  at timestamptz not null,
  unique (folder, publication)
);
create index on item (publication);

create table item_reason (
  id integer primary key generated always as identity,
  item integer not null references item on delete cascade,
  membership integer not null references membership,
  step integer references step,
  text text not null,
  at timestamptz not null
);
create index on item_reason (item);

create table saved_search (
  id integer primary key generated always as identity,
  pid text not null unique,
  folder integer not null references folder,
  name text not null check (name <> ''),
  at timestamptz not null
);
create unique index saved_search_name on saved_search (folder, lower(name));

create table revision (
  id integer primary key generated always as identity,
  saved_search integer not null references saved_search on delete cascade,
  n integer not null,
  strategy jsonb not null,
  count integer not null,
  as_of text not null,
  membership integer not null references membership,
  at timestamptz not null,
  unique (saved_search, n)
);

-- Watching

create table alert (
  id integer primary key generated always as identity,
  pid text not null unique,
  grp integer not null references grp,
  revision integer not null unique references revision,
  folder integer not null references folder,
  rhythm text not null,
  hour time not null,
  asked integer not null default 1, -- lit lamps that cover an arrival
  verdicts boolean not null default false,
  sealed boolean not null default false,
  state text not null check (state in ('watching', 'paused', 'ended')),
  number bigint not null, -- memory is true up to this change
  memory bytea not null,
  version integer not null default 1,
  membership integer not null references membership,
  at timestamptz not null
);
create index on alert (grp);

create table round (
  id integer primary key generated always as identity,
  pid text not null unique,
  alert integer not null references alert,
  n integer not null,
  opens timestamptz not null,
  closes timestamptz, -- none: as soon as something was found
  closed timestamptz,
  unique (alert, n)
);
create unique index round_open on round (alert) where closed is null;

create table round_source (
  round integer not null references round,
  source integer not null references source,
  checked timestamptz not null,
  primary key (round, source)
);

create table occasion (
  id integer primary key generated always as identity,
  publication integer not null references publication,
  kind text not null check (kind in ('first coming', 'retracted', 'corrected')),
  key text not null,
  unique (publication, kind, key)
);

create table arrival (
  id integer primary key generated always as identity,
  grp integer not null references grp,
  occasion integer not null references occasion,
  came timestamptz not null,
  unique (grp, occasion)
);

create table finding (
  id integer primary key generated always as identity,
  arrival integer not null references arrival,
  alert integer not null references alert,
  round integer not null references round,
  revision integer not null references revision,
  class text not null,
  words jsonb not null,
  here_since boolean not null, -- another alert had found it before
  at timestamptz not null,
  unique (arrival, alert)
);
create index on finding (round);

-- Review and feeds

create table review_event (
  id integer primary key generated always as identity,
  command uuid not null,
  membership integer not null references membership,
  occasion integer not null references occasion,
  publication integer not null references publication,
  what text not null check (what in ('keep', 'pass', 'raise', 'hold', 'seen', 'undo')),
  reason text not null,
  at timestamptz not null
);
create index on review_event (occasion, membership, id);

create table feed (
  id integer primary key generated always as identity,
  pid text not null unique,
  membership integer not null references membership,
  alert integer not null references alert,
  generation integer not null,
  revoked timestamptz,
  at timestamptz not null,
  unique (membership, alert, generation)
);
create unique index feed_live on feed (membership, alert) where revoked is null;

-- db-scheduler 16 and Spring Session 4, as their documentation gives them

create table scheduled_tasks (
  task_name text not null,
  task_instance text not null,
  task_data bytea,
  execution_time timestamptz not null,
  picked boolean not null,
  picked_by text,
  last_success timestamptz,
  last_failure timestamptz,
  consecutive_failures integer,
  last_heartbeat timestamptz,
  version bigint not null,
  priority smallint,
  primary key (task_name, task_instance)
);
create index on scheduled_tasks (execution_time);
create index on scheduled_tasks (last_heartbeat);
create index on scheduled_tasks (priority desc, execution_time asc);

create table spring_session (
  primary_id char(36) not null primary key,
  session_id char(36) not null unique,
  creation_time bigint not null,
  last_access_time bigint not null,
  max_inactive_interval integer not null,
  expiry_time bigint not null,
  principal_name varchar(100)
);
create index on spring_session (expiry_time);
create index on spring_session (principal_name);

create table spring_session_attributes (
  session_primary_id char(36) not null references spring_session (primary_id) on delete cascade,
  attribute_name varchar(200) not null,
  attribute_bytes bytea not null,
  primary key (session_primary_id, attribute_name)
);
