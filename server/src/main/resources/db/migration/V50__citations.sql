-- In which style works are cited.
alter table grp add column citation_style text not null default 'apa'; -- name of one that ships
alter table grp add column citation_language text not null default ''; -- en-GB; empty: the style's own

-- How the bibliography of a folder is set; a folder without a row goes by its group.
create table bibliography (
  folder integer primary key references folder,
  style text not null, -- empty: the group's
  language text not null, -- empty: the group's, or the style's own
  by_hand boolean not null -- in the folder's order by hand, not the style's
);
