package org.quietlantern.server.folder;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

@Mapper
interface FolderMapper {
  record Folder(int id, String pid, String name, boolean pile) {}

  record Listed(String pid, String name, boolean pile, int items, int searches) {}

  record Item(int id, int publication, Instant at) {}

  record Reason(int publication, int membership, String text, Instant at) {}

  record KeptIn(int publication, String pid, String name) {}

  @Select(
      """
      select id, pid, name, owner is not null as pile from folder
      where grp = #{group} and pid = #{pid} and (owner is null or owner = #{membership})
      """)
  Folder find(int group, int membership, String pid);

  @Select(
      """
      select id, pid, name, owner is not null as pile from folder
      where grp = #{group} and (owner is null or owner = #{membership}) and id = #{id}
      """)
  Folder byId(int group, int membership, int id);

  @Select(
      """
      select id from folder where grp = #{group} and owner = #{membership} order by id limit 1
      """)
  Integer pile(int group, int membership);

  @Select(
      """
      insert into folder (pid, grp, owner, name, at)
      values (#{pid}, #{group}, #{membership}, #{name}, #{now})
      on conflict do nothing returning id
      """)
  Integer addPile(String pid, int group, int membership, String name, Instant now);

  @Select(
      """
      select f.pid, f.name, f.owner is not null as pile,
        (select count(*) from item i where i.folder = f.id)::int as items,
        (select count(*) from saved_search s where s.folder = f.id)::int as searches
      from folder f where f.grp = #{group} and (f.owner is null or f.owner = #{membership})
      order by f.owner is not null, lower(f.name), f.id limit 500
      """)
  List<Listed> list(int group, int membership);

  @Select(
      """
      insert into folder (pid, grp, name, at) values (#{pid}, #{group}, #{name}, #{now})
      on conflict do nothing returning id
      """)
  Integer add(String pid, int group, String name, Instant now);

  @Select(
      "select g.pid from folder f join grp g on g.id = f.grp where f.pid = #{pid} and f.owner is null")
  String groupOf(String pid);

  @Select(
      """
      insert into item (folder, publication, at) values (#{folder}, #{publication}, #{now})
      on conflict (folder, publication) do nothing returning id
      """)
  Integer addItem(int folder, int publication, Instant now);

  /** Of the publication or of one merged into it. */
  @Select(
      """
      select i.id from item i join publication p on p.id = i.publication
      where i.folder = #{folder} and (p.id = #{publication} or p.canonical = #{publication})
      order by i.id limit 1
      """)
  Integer findItem(int folder, int publication);

  @Select(
      """
      select i.id, coalesce(p.canonical, p.id) as publication, i.at
      from item i join publication p on p.id = i.publication
      where i.folder = #{folder} order by i.at desc, i.id desc limit 1000
      """)
  List<Item> items(int folder);

  @Select(
      """
      select coalesce(p.canonical, p.id) as publication, r.membership, r.text, r.at
      from item_reason r join item i on i.id = r.item join publication p on p.id = i.publication
      where i.folder = #{folder} order by r.id limit 5000
      """)
  List<Reason> reasons(int folder);

  @Select(
      """
      insert into item_reason (item, membership, step, text, at)
      values (#{item}, #{membership}, #{step}, #{text}, #{now}) returning id
      """)
  int addReason(int item, int membership, Integer step, String text, Instant now);

  @Select(
      """
      select exists (select 1 from item_reason
        where item = #{item} and membership = #{membership} and text = #{text})
      """)
  boolean gaveReason(int item, int membership, String text);

  @Select(
      """
      select exists (select 1 from item_reason
        where item = #{item} and membership = #{membership})
      """)
  boolean kept(int item, int membership);

  @Select(
      """
      delete from item_reason r using item i
      where r.item = i.id and i.folder = #{folder} and i.publication in (
          select id from publication where id = #{publication} or canonical = #{publication})
        and r.membership = #{membership} returning r.text
      """)
  List<String> removeReasons(int folder, int publication, int membership);

  @Delete("delete from item_reason where id = #{id}")
  void removeReason(int id);

  @Select(
      """
      select m.name from item_reason r join item i on i.id = r.item
      join membership m on m.id = r.membership
      where i.folder = #{folder} and i.publication in (
        select id from publication where id = #{publication} or canonical = #{publication})
      order by r.id limit 1
      """)
  String keeper(int folder, int publication);

  @Delete(
      """
      delete from item i where i.folder = #{folder} and i.publication in (
          select id from publication where id = #{publication} or canonical = #{publication})
        and not exists (select 1 from item_reason r where r.item = i.id)
      """)
  int removeItem(int folder, int publication);

  @Select(
      """
      select distinct coalesce(p.canonical, p.id) as publication, f.pid, f.name, lower(f.name), f.id
      from item i join folder f on f.id = i.folder join publication p on p.id = i.publication
      where f.grp = #{group} and (f.owner is null or f.owner = #{membership}) and i.publication in (
        select id from publication where id = any(#{publications}) or canonical = any(#{publications}))
      order by lower(f.name), f.id limit 5000
      """)
  List<KeptIn> keptIn(int group, int membership, Integer[] publications);
}
