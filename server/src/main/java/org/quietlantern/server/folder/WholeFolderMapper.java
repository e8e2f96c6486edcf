package org.quietlantern.server.folder;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.quietlantern.server.platform.Nullable;

/** Folders with everything in them; however much that is, in a fixed number of statements. */
@Mapper
interface WholeFolderMapper {
  /** {@code place}: in the order by hand; absent for nowhere. */
  record Went(int id, int publication, @Nullable Double place) {}

  /** Items whose works are not in the other folder yet. */
  @Select(
      """
      select i.id, coalesce(p.canonical, p.id) as publication, i.place
      from item i join publication p on p.id = i.publication
      where i.folder = #{from} and not exists (
        select 1 from item o join publication q on q.id = o.publication
        where o.folder = #{to} and coalesce(q.canonical, q.id) = coalesce(p.canonical, p.id))
      order by i.id
      """)
  List<Went> notIn(int from, int to);

  /** A member who keeps a work in a folder. */
  record Keeper(int publication, int membership) {}

  @Select(
      """
      select distinct coalesce(p.canonical, p.id) as publication, r.membership
      from item i join publication p on p.id = i.publication join item_reason r on r.item = i.id
      where i.folder = #{folder}
      """)
  List<Keeper> keepers(int folder);

  @Update("update item set folder = #{to}, place = null where id = any(#{items}::integer[])")
  void moveItems(Integer[] items, int to);

  /** {@code item}: of the first folder; {@code other}: of the same work in the other one. */
  record Same(int item, int other, int publication) {}

  @Select(
      """
      select i.id as item, min(o.id) as other, coalesce(p.canonical, p.id) as publication
      from item i join publication p on p.id = i.publication
      join publication q on coalesce(q.canonical, q.id) = coalesce(p.canonical, p.id)
      join item o on o.publication = q.id and o.folder = #{to}
      where i.folder = #{from} group by i.id, p.canonical, p.id order by i.id
      """)
  List<Same> inBoth(int from, int to);

  /** {@code item}: where it stood before. */
  record ReasonWent(int id, int item) {}

  /** Reasons go to the item of the same work, but what a member has said there already. */
  @Select(
      """
      update item_reason r set item = t.other
      from unnest(#{items}::integer[], #{others}::integer[]) as t(item, other)
      where r.item = t.item and not exists (
        select 1 from item_reason s
        where s.item = t.other and s.membership = r.membership and s.text = r.text)
      returning r.id, t.item
      """)
  List<ReasonWent> moveReasons(Integer[] items, Integer[] others);

  @Select(
      """
      update saved_search set folder = #{to} where folder = #{from} returning pid
      """)
  List<String> moveSearches(int from, int to);

  @Select("update alert set folder = #{to} where folder = #{from} returning id")
  List<Integer> moveAlerts(int from, int to);

  @Select("update note set folder = #{to} where folder = #{from} returning id")
  List<Integer> moveNotes(int from, int to);

  @Select("update folder set parent = #{to} where parent = #{from} returning id")
  List<Integer> moveFolders(int from, int to);

  /** Names that a search or a folder in one has, and another one in the other. */
  @Select(
      """
      select s.name from saved_search s join saved_search t
        on t.folder = #{to} and t.ended is null and lower(t.name) = lower(s.name)
      where s.folder = #{from} and s.ended is null
      union all
      select f.name from folder f join folder g
        on g.parent = #{to} and g.ended is null and lower(g.name) = lower(f.name)
          and f.open_to is distinct from 'named' and g.open_to is distinct from 'named'
      where f.parent = #{from} and f.ended is null and g.id <> #{from}
      """)
  List<String> sameNames(int from, int to);

  @Update("update folder set ended = #{at}, merged = #{to} where id = #{from}")
  void merge(int from, int to, Instant at);

  @Update(
      """
      update item i set folder = #{to}, place = t.place
      from unnest(#{items}::integer[], #{places}::double precision[]) as t(id, place)
      where i.id = t.id and i.folder = #{from}
      """)
  int returnItems(Integer[] items, Double[] places, int from, int to);

  @Update(
      """
      update item_reason r set item = t.item
      from unnest(#{reasons}::integer[], #{items}::integer[]) as t(id, item), item i
      where r.id = t.id and i.id = r.item and i.folder = #{from}
      """)
  void returnReasons(Integer[] reasons, Integer[] items, int from);

  /** What nobody keeps any more. */
  @Delete(
      """
      delete from item i where i.id = any(#{items}::integer[])
        and not exists (select 1 from item_reason r where r.item = i.id)
      """)
  void dropUnkept(Integer[] items);

  @Update(
      """
      update saved_search set folder = #{to}
      where pid = any(#{searches}::text[]) and folder = #{from}
      """)
  void returnSearches(String[] searches, int from, int to);

  @Update("update alert set folder = #{to} where id = any(#{ids}::integer[]) and folder = #{from}")
  void returnAlerts(Integer[] ids, int from, int to);

  @Update("update note set folder = #{to} where id = any(#{ids}::integer[]) and folder = #{from}")
  void returnNotes(Integer[] ids, int from, int to);

  @Update("update folder set parent = #{to} where id = any(#{ids}::integer[]) and parent = #{from}")
  void returnFolders(Integer[] ids, int from, int to);

  /** A folder beside another one, described alike; none where its name is taken. */
  @Select(
      """
      insert into folder (pid, grp, parent, name, description, at, open_to, group_may)
      select #{pid}, grp, parent, #{name}, description, #{at}, open_to, group_may
      from folder where id = #{of}
      on conflict do nothing returning id
      """)
  Integer addLike(int of, String pid, String name, Instant at);

  /** The same people may do the same. */
  @Insert(
      """
      insert into folder_named (folder, membership, may)
      select #{to}, membership, may from folder_named where folder = #{from}
      """)
  void copyNamed(int from, int to);

  @Select(
      """
      insert into item (folder, publication, at, place)
      select #{to}, publication, at, place from item where folder = #{from} order by id
      returning id
      """)
  List<Integer> copyItems(int from, int to);

  @Select(
      """
      insert into item_reason (item, membership, step, text, at, by_group)
      select n.id, r.membership, r.step, r.text, r.at, r.by_group
      from item_reason r join item i on i.id = r.item
      join item n on n.folder = #{to} and n.publication = i.publication
      where i.folder = #{from} order by r.id
      returning id
      """)
  List<Integer> copyReasons(int from, int to);

  /** It is set alike, and has the same headings with the same entries below them. */
  @Insert(
      """
      with set as (
        insert into bibliography (folder, style, language, by_hand)
        select #{to}, style, language, by_hand from bibliography where folder = #{from}),
      made as (
        insert into chapter (folder, n, name)
        select #{to}, n, name from chapter where folder = #{from} returning id, name)
      insert into chapter_entry (folder, publication, chapter)
      select #{to}, e.publication, m.id
      from chapter_entry e join chapter c on c.id = e.chapter join made m on m.name = c.name
      where e.folder = #{from}
      """)
  void copyBibliography(int from, int to);

  /** How a folder's bibliography stands: what is set, headings, what is quoted; as a digest. */
  @Select(
      """
      select md5(concat_ws('|',
        (select json_build_array(style, language, by_hand)::text from bibliography
          where folder = #{folder}),
        (select json_agg(json_build_array(id, n, name) order by id)::text from chapter
          where folder = #{folder}),
        (select json_agg(json_build_array(publication, chapter) order by publication)::text
          from chapter_entry where folder = #{folder}),
        (select json_agg(json_build_array(id, described, doi) order by id)::text
          from quoted_through where folder = #{folder})))
      """)
  String bibliographyState(int folder);

  /** Whether nothing is in a folder but these. */
  @Select(
      """
      select not exists (select 1 from item where folder = #{folder}
          and id <> all(#{items}::integer[]))
        and not exists (select 1 from item_reason r join item i on i.id = r.item
          where i.folder = #{folder} and r.id <> all(#{reasons}::integer[]))
        and not exists (select 1 from annotation a where a.folder = #{folder}
          and (a.version > 1 or a.id <> all(#{annotations}::integer[])
            or exists (select 1 from annotation_remark r where r.annotation = a.id)))
        and not exists (select 1 from saved_search where folder = #{folder})
        and not exists (select 1 from alert where folder = #{folder})
        and not exists (select 1 from note where folder = #{folder})
        and not exists (select 1 from folder where parent = #{folder} or merged = #{folder})
      """)
  boolean holdsOnly(int folder, Integer[] items, Integer[] reasons, Integer[] annotations);

  @Delete("delete from item where folder = #{folder}")
  void empty(int folder);
}
