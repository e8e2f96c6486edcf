-- Links by which somebody comes in for the first time, or again: once, for a while.
create table entry_link (
  code bytea primary key, -- SHA-256 of what stands in the link
  email text not null check (email = lower(email)),
  steward boolean not null,
  until timestamptz not null, -- system time
  used timestamptz -- system time
);

-- What founded a group: the same one twice founds it once.
alter table grp add column founding uuid unique;
