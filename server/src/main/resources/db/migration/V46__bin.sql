-- What was taken out of folders lies in the bin as it stands in the actions; those are found by this.
create index on action (grp, at) where what = 'item.take-out';

-- A folder, or the one that it went into; none where that is no more.
create function living_folder(wanted integer) returns integer language sql stable as $$
  with recursive way as (
    select id, merged, ended from folder where id = wanted
    union select f.id, f.merged, f.ended from folder f join way w on f.id = w.merged)
  select id from way where ended is null
$$;
