-- What coordinators set for the whole group.
alter table grp add column invites text not null default 'coordinators'
  check (invites in ('coordinators', 'members')); -- who asks people in
alter table grp add column usual_limits integer references limit_set; -- that new sheets begin with
alter table grp add column reasons text[] not null default '{}'; -- for passing, offered to be chosen
alter table grp add column settings_version integer not null default 1;
-- Whom the group asks about searching.
alter table membership add column librarian boolean not null default false;
