-- A folder is the group's, or of those who are named; who may do what follows from folders_of alone.
create type folder_right as enum ('read', 'remark', 'edit'); -- each with those before it

alter table folder add column open_to text check (open_to in ('group', 'named')); -- none: as the one around it
alter table folder add column group_may folder_right not null default 'edit'; -- members, where it is the group's
alter table folder add column rights_version integer not null default 1;
create index on folder (parent);

create table folder_named (
  folder integer not null references folder on delete cascade,
  membership integer not null references membership,
  may folder_right not null,
  primary key (folder, membership)
);
create index on folder_named (membership);

-- Somebody from outside the group who was asked to single folders and sees nothing else.
alter table membership add column only_folders boolean not null default false;
alter table membership add check (not only_folders or role = 'guest');
alter table invitation add column folder integer references folder on delete cascade; -- to which alone
alter table invitation add column may folder_right;
alter table invitation add check ((folder is null) = (may is null));
drop index invitation_open;
create unique index invitation_open on invitation (grp, email, coalesce(folder, 0))
  where used is null and taken_back is null;

-- Two folders may have one name where not everybody sees both.
drop index folder_name;
create unique index folder_name
  on folder (grp, coalesce(owner, 0), coalesce(parent, 0), lower(name))
  where ended is null and open_to is distinct from 'named';

-- The folders of a group that a member of it may see, ended or not, and what they may do there.
-- Closed: not everybody of the group sees it.
create function folders_of(reader integer)
returns table (folder integer, may folder_right, closed boolean) language sql stable as $$
  with recursive me as (
    select id, grp, role, only_folders from membership where id = reader and left_at is null
  ), tree as (
    select f.id, f.owner, case when f.open_to is not null then f.id end as settled
    from folder f join me on f.grp = me.grp where f.parent is null
    union
    select f.id, f.owner, case when f.open_to is not null then f.id else t.settled end
    from folder f join tree t on f.parent = t.id
  ), rights as (
    select t.id, t.owner is not null or coalesce(s.open_to, 'group') = 'named' as closed,
      case
        when t.owner is not null then case when t.owner = me.id then 'edit'::folder_right end
        when me.role = 'guest' then greatest(
          case when n.may > 'remark' then 'remark' else n.may end,
          case when not me.only_folders and coalesce(s.open_to, 'group') = 'group'
            then 'read'::folder_right end)
        when coalesce(s.open_to, 'group') = 'group' then greatest(
          case when me.role = 'coordinator' then 'edit' else coalesce(s.group_may, 'edit') end,
          n.may)
        -- A folder that nobody could open any more falls to the coordinators.
        when me.role = 'coordinator' and not exists (
          select 1 from folder_named e join membership m on m.id = e.membership
          where e.folder = s.id and e.may = 'edit' and m.left_at is null and m.role <> 'guest')
          then 'edit'
        else n.may
      end as may
    from tree t cross join me
    left join folder s on s.id = t.settled
    left join folder_named n on n.folder = s.id and n.membership = me.id
  )
  select id, may, closed from rights where may is not null
$$;

-- Whether not everybody of the group sees a folder. An alert that ended goes on naming its folder.
create function folder_closed(which integer) returns boolean language sql stable as $$
  with recursive up as (
    select id, parent, owner, open_to from folder where id = which
    union all
    select f.id, f.parent, f.owner, f.open_to from folder f join up on f.id = up.parent
      where up.open_to is null and up.owner is null)
  select coalesce(bool_or(owner is not null or open_to = 'named'), false) from up
$$;

-- What a member's acts and others' are about that the member may not see, as in action.about.
create function hidden_from(reader integer) returns text[] language sql stable as $$
  with me as (select grp from membership where id = reader),
  hidden as (
    select f.id, f.pid from folder f join me on f.grp = me.grp
    where f.id not in (select folder from folders_of(reader)))
  select coalesce(array_agg(subject), '{}') from (
    select 'folder:' || pid from hidden
    union all select 'search:' || s.pid from saved_search s join hidden h on h.id = s.folder
    union all select 'note:' || n.pid from note n join hidden h on h.id = n.folder) s(subject)
$$;

-- A folder that whoever has its address may read, until that is revoked.
create table folder_link (
  id integer primary key generated always as identity,
  pid text not null unique,
  folder integer not null references folder on delete cascade,
  membership integer not null references membership, -- who opened it
  at timestamptz not null,
  revoked timestamptz
);
create unique index folder_link_open on folder_link (folder) where revoked is null;
