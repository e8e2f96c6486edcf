package org.quietlantern.server.folder;

import java.time.Instant;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.quietlantern.server.action.Audience;
import org.quietlantern.server.platform.Nullable;

@Mapper
interface FolderMapper {
  /**
   * A folder as somebody sees it who may.
   *
   * @param parent the one in which it lies, where they see that too
   * @param may what they may do in it: {@code read}, {@code remark} or {@code edit}
   * @param closed whether it is for some of the group only; piles are
   */
  record Folder(
      int id,
      String pid,
      String name,
      boolean pile,
      @Nullable String parent,
      String description,
      String may,
      boolean closed) {
    /** Who is told of what is done in it, of those who see it. */
    Audience audience() {
      return pile ? Audience.ME : Audience.GROUP;
    }

    boolean allows(FolderRight wanted) {
      return FolderRight.read(may).orElseThrow().allows(wanted);
    }
  }

  record Listed(
      String pid,
      String name,
      boolean pile,
      @Nullable String parent,
      String may,
      boolean closed,
      int items,
      int searches) {}

  /**
   * @param publication row number of the work as it is known now
   * @param pid its public id
   * @param place where members put it by hand; absent for nowhere
   */
  record Item(int id, int publication, String pid, Instant at, @Nullable Double place) {
    /** Two that turned out to be one work since stand once. */
    static List<Item> once(List<Item> items) {
      Set<Integer> seen = new HashSet<>();
      return items.stream().filter(item -> seen.add(item.publication())).toList();
    }
  }

  /** {@code name}: of who gave it; absent for a former member. */
  record Reason(
      int publication,
      int membership,
      @Nullable String name,
      String text,
      String q,
      String strategy,
      Instant at) {}

  /** An item in a folder of the group, for taking it out and putting it back. */
  record KeptItem(
      int id, int folder, String folderName, int publication, Instant at, @Nullable Double place) {}

  record ReasonRow(
      int id, int membership, Integer step, String text, Instant at, boolean byGroup) {}

  record KeptIn(int publication, String pid, String name) {}

  String SEEN =
      """
      with seen as materialized (select * from folders_of(#{membership}))
      select f.id, f.pid, f.name, f.owner is not null as pile, p.pid as parent, f.description,
        v.may, v.closed
      from folder f join seen v on v.folder = f.id
      left join (select p.id, p.pid from folder p join seen on seen.folder = p.id) p
        on p.id = f.parent
      """;

  /** One that is there and that the member may see. */
  @Select(SEEN + " where f.pid = #{pid} and f.ended is null")
  Folder find(int membership, String pid);

  /** The same by its row number, ended or not. */
  @Select(SEEN + " where f.id = #{id}")
  Folder byId(int membership, int id);

  @Select(
      """
      select f.pid as id, f.name from folder f join folders_of(#{membership}) v on v.folder = f.id
      where f.pid = any(#{folders})
      """)
  List<Folders.FolderName> names(int membership, String[] folders);

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
      with seen as materialized (select * from folders_of(#{membership})),
      kept as materialized (
        select i.folder, count(distinct coalesce(p.canonical, p.id))::int as items
        from item i join publication p on p.id = i.publication
        where i.folder in (select folder from seen) group by i.folder)
      select f.pid, f.name, f.owner is not null as pile, v.may, v.closed,
        (select p.pid from folder p join seen on seen.folder = p.id where p.id = f.parent) as parent,
        coalesce(k.items, 0) as items,
        (select count(*) from saved_search s
          where s.folder = f.id and s.ended is null)::int as searches
      from folder f join seen v on v.folder = f.id left join kept k on k.folder = f.id
      where f.ended is null order by f.owner is not null, lower(f.name), f.id
      """)
  List<Listed> list(int membership);

  @Select(
      """
      insert into folder (pid, grp, name, at) values (#{pid}, #{group}, #{name}, #{now})
      on conflict do nothing returning id
      """)
  Integer add(String pid, int group, String name, Instant now);

  @Select(
      """
      select g.pid from folder f join grp g on g.id = f.grp
      where f.pid = #{pid} and f.owner is null and f.ended is null
      """)
  String groupOf(String pid);

  @Select(
      """
      insert into item (folder, publication, at) values (#{folder}, #{publication}, #{now})
      on conflict (folder, publication) do nothing returning id
      """)
  Integer addItem(int folder, int publication, Instant now);

  /** Works as they are known now, in folders and piles. */
  @Select(
      """
      select distinct coalesce(p.canonical, p.id)
      from item i join folder f on f.id = i.folder join publication p on p.id = i.publication
      where f.grp = #{group} and coalesce(p.canonical, p.id) = any(#{works})
      """)
  List<Integer> heldByAnybody(int group, Integer[] works);

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
      select i.id, coalesce(c.id, p.id) as publication, coalesce(c.pid, p.pid) as pid, i.at, i.place
      from item i join publication p on p.id = i.publication
      left join publication c on c.id = p.canonical
      where i.folder = #{folder} order by i.at desc, i.id desc
      """)
  List<Item> items(int folder);

  /**
   * All works of a folder in one row, for those that hold many; more than once where they merged.
   */
  record Ids(String[] pids) {}

  String WORKS =
      """
      from item i join publication p on p.id = i.publication
      left join publication c on c.id = p.canonical
      """;

  /** What was kept last comes first. */
  @Select(
      """
      select coalesce(array_agg(coalesce(c.pid, p.pid) order by i.at desc, i.id desc), '{}') as pids
      """
          + WORKS
          + "where i.folder = #{folder}")
  Ids idsKept(int folder);

  /** As members put them; what nobody has put anywhere comes first. */
  @Select(
      """
      select coalesce(array_agg(coalesce(c.pid, p.pid)
        order by i.place nulls first, i.at desc, i.id desc), '{}') as pids
      """
          + WORKS
          + "where i.folder = #{folder}")
  Ids idsByHand(int folder);

  /** By who kept it first, of those who are there. */
  @Select(
      """
      with kept as (
        select distinct on (r.item) r.item, lower(m.name) collate "C" as name
        from item i join item_reason r on r.item = i.id join membership m on m.id = r.membership
        where i.folder = #{folder} and m.left_at is null order by r.item, r.at, r.id)
      select coalesce(
        array_agg(coalesce(c.pid, p.pid) order by coalesce(k.name, ''), i.at desc, i.id desc),
        '{}') as pids
      from item i join publication p on p.id = i.publication
      left join publication c on c.id = p.canonical left join kept k on k.item = i.id
      where i.folder = #{folder}
      """)
  Ids idsByWho(int folder);

  @Select(
      """
      select distinct coalesce(p.canonical, p.id) from item i
      join publication p on p.id = i.publication where i.folder = #{folder}
      """)
  int[] works(int folder);

  /** In all folders that a member sees. */
  @Select(
      """
      select distinct coalesce(p.canonical, p.id) from item i
      join publication p on p.id = i.publication join folder f on f.id = i.folder
      join folders_of(#{membership}) v on v.folder = f.id where f.ended is null
      """)
  int[] worksOf(int membership);

  /** The works of a folder; row numbers. */
  record WorksIn(String pid, String name, Integer[] works) {}

  /** By folder that a member sees, those that have some. */
  @Select(
      """
      select f.pid, f.name, array_agg(distinct coalesce(p.canonical, p.id)) as works
      from folders_of(#{membership}) v join folder f on f.id = v.folder and f.ended is null
      join item i on i.folder = f.id join publication p on p.id = i.publication
      group by f.id, f.pid, f.name order by lower(f.name), f.id
      """)
  List<WorksIn> worksByFolder(int membership);

  @Update("update item set place = #{place} where id = #{item}")
  void placeAt(int item, double place);

  /** One behind the other, in this order. */
  @Update(
      """
      update item i set place = t.n * #{apart}::double precision
      from unnest(#{items}::integer[]) with ordinality as t(id, n) where i.id = t.id
      """)
  void number(Integer[] items, double apart);

  /** Those of a folder that are these works now. */
  @Select(
      """
      select i.id, c.id as publication, c.pid, i.at, i.place
      from publication c
      join publication p on p.id = c.id or p.canonical = c.id
      join item i on i.publication = p.id and i.folder = #{folder}
      where c.pid = any(#{pids}) and c.canonical is null order by i.at desc, i.id desc
      """)
  List<Item> some(int folder, String[] pids);

  @Select(
      """
      select coalesce(p.canonical, p.id) as publication, r.membership,
        case when r.by_group then 'The group' else m.name end as name, r.text, k.pid as q,
        k.strategy::text, r.at
      from item_reason r join item i on i.id = r.item join publication p on p.id = i.publication
      left join membership m on m.id = r.membership and m.left_at is null
      left join step t on t.id = r.step left join kept_strategy k on k.id = t.strategy
      where i.folder = #{folder} and i.publication in (
        select id from publication where id = any(#{publications}) or canonical = any(#{publications}))
      order by r.at, r.id
      """)
  List<Reason> reasons(int folder, Integer[] publications);

  /** Items in folders that the whole group sees, which a member kept there. */
  @Select(
      """
      select i.id, i.folder, f.name as folder_name, i.publication, i.at, i.place
      from item i join folder f on f.id = i.folder join publication p on p.id = i.publication
      join folders_of(#{membership}) v on v.folder = f.id and not v.closed
      where f.ended is null and (p.id = #{publication} or p.canonical = #{publication})
        and exists (select 1 from item_reason r
          where r.item = i.id and r.membership = #{membership} and not r.by_group)
      order by i.id
      """)
  List<KeptItem> keptBy(int membership, int publication);

  /** Items of a work in one folder; more than one where works became one. */
  @Select(
      """
      select i.id, i.folder, f.name as folder_name, i.publication, i.at, i.place
      from item i join folder f on f.id = i.folder join publication p on p.id = i.publication
      where f.id = #{folder} and (p.id = #{publication} or p.canonical = #{publication})
      order by i.id
      """)
  List<KeptItem> itemsOf(int folder, int publication);

  @Select(
      """
      select id, membership, step, text, at, by_group from item_reason
      where item = #{item} order by at, id
      """)
  List<ReasonRow> reasonsOf(int item);

  @Delete("delete from item where id = #{item}")
  void dropItem(int item);

  record Place(int id, String name, Integer parent) {}

  @Select("select id, name, parent from folder where id = #{folder}")
  Place place(int folder);

  /** Names a folder and puts it into another; 0 where there is one of that name already. */
  @Update(
      """
      update folder f set name = #{name}, parent = #{parent}
      where id = #{folder} and (open_to = 'named' or not exists (select 1 from folder t
        where t.grp = f.grp and coalesce(t.owner, 0) = coalesce(f.owner, 0) and t.ended is null
          and coalesce(t.parent, 0) = coalesce(#{parent}::integer, 0)
          and t.open_to is distinct from 'named' and lower(t.name) = lower(#{name})
          and t.id <> f.id))
      """)
  int change(int folder, String name, Integer parent);

  @Update("update folder set description = #{description} where id = #{folder}")
  void describe(int folder, String description);

  /** Whether a folder is another one or lies in it, however deep. */
  @Select(
      """
      with recursive up as (
        select id, parent from folder where id = #{folder}
        union select f.id, f.parent from folder f join up on f.id = up.parent)
      select exists (select 1 from up where id = #{other})
      """)
  boolean liesIn(int folder, int other);

  @Select(
      """
      select name from folder where parent = #{folder} and ended is null order by lower(name), id
      """)
  List<String> inside(int folder);

  /** Puts folders that lie in one and that a member does not see among the outermost. */
  @Update(
      """
      update folder set parent = null
      where parent = #{folder} and ended is null
        and id not in (select folder from folders_of(#{membership}))
      """)
  void liftHidden(int folder, int membership);

  /** Something that is the group's and would stand where not everybody sees it. */
  record Unseen(String what, String folder) {}

  /** Searches that stand in closed folders of a group, and alerts that keep where not all may. */
  @Select(
      """
      with recursive tree as (
        select id, owner, open_to, group_may from folder where grp = #{group} and parent is null
        union
        select f.id, f.owner, coalesce(f.open_to, t.open_to),
          case when f.open_to is null then t.group_may else f.group_may end
        from folder f join tree t on f.parent = t.id)
      select s.name as what, f.name as folder from saved_search s join folder f on f.id = s.folder
      join tree t on t.id = f.id
      where s.ended is null and f.ended is null and (t.owner is not null or t.open_to = 'named')
      union all
      select s.name, f.name from alert a join folder f on f.id = a.folder
      join tree t on t.id = f.id
      join revision r on r.id = a.revision join saved_search s on s.id = r.saved_search
      where a.state <> 'ended' and s.ended is null and (t.owner is not null
        or t.open_to = 'named' or t.group_may <> 'edit')
      order by 1, 2
      """)
  List<Unseen> unseen(int group);

  /** Names of searches that are watched from a folder, or keep into it. */
  @Select(
      """
      select distinct s.name, lower(s.name) from alert a join revision v on v.id = a.revision
      join saved_search s on s.id = v.saved_search
      where a.state <> 'ended' and (a.folder = #{folder} or s.folder = #{folder})
      order by lower(s.name), s.name
      """)
  List<String> watched(int folder);

  /** {@code ended} none: it is there again; 0 where its name is taken meanwhile. */
  @Update(
      """
      update folder f set ended = #{ended},
        merged = case when #{ended}::timestamptz is null then null else merged end
      where id = #{folder} and (#{ended}::timestamptz is not null or open_to = 'named'
        or not exists (
          select 1 from folder t where t.grp = f.grp and t.ended is null
            and coalesce(t.owner, 0) = coalesce(f.owner, 0)
            and coalesce(t.parent, 0) = coalesce(f.parent, 0)
            and t.open_to is distinct from 'named' and lower(t.name) = lower(f.name)))
      """)
  int end(int folder, Instant ended);

  /** Whether nothing ever lay in a folder that is still there. */
  @Select(
      """
      select not exists (select 1 from item where folder = #{folder})
        and not exists (select 1 from saved_search where folder = #{folder})
        and not exists (select 1 from alert where folder = #{folder})
        and not exists (select 1 from note where folder = #{folder})
        and not exists (select 1 from annotation where folder = #{folder})
        and not exists (select 1 from folder where parent = #{folder})
      """)
  boolean isEmpty(int folder);

  @Delete("delete from folder where id = #{folder}")
  void remove(int folder);

  @Select("select ended is null from folder where id = #{folder}")
  boolean isThere(int folder);

  /** A folder, or the one that it went into; null where that is no more. */
  @Select("select living_folder(#{folder})")
  Integer living(int folder);

  /** Whether a folder in which a member may do something holds a work, or one merged into it. */
  @Select(
      """
      select exists (select 1 from item i join folder f on f.id = i.folder
        join publication p on p.id = i.publication
        join folders_of(#{membership}) v on v.folder = f.id and v.may >= #{may}::folder_right
        where f.ended is null and (p.id = #{publication} or p.canonical = #{publication}))
      """)
  boolean holds(int membership, int publication, String may);

  /** Where a folder lay that is no more, it is among the outermost. */
  @Update(
      """
      update folder f set parent = null
      where id = #{folder} and exists (
        select 1 from folder p where p.id = f.parent and p.ended is not null)
      """)
  void liftOut(int folder);

  /** {@code into}: the folder into which another one went, if it did. */
  record Gone(String name, Instant ended, @Nullable String into, @Nullable String intoName) {}

  /** A folder that ended and that the member might see; null where there is none. */
  @Select(
      """
      with seen as materialized (select * from folders_of(#{membership}))
      select f.name, f.ended, t.pid as into, t.name as into_name
      from folder f join seen v on v.folder = f.id
      left join (select t.* from folder t join seen on seen.folder = t.id) t on t.id = f.merged
      where f.pid = #{pid} and f.owner is null and f.ended is not null
      """)
  Gone gone(int membership, String pid);

  @Select("select name from membership where id = #{membership}")
  String nameOf(int membership);

  @Select(
      """
      insert into item_reason (item, membership, step, text, at)
      values (#{item}, #{membership}, #{step}, #{text}, #{now}) returning id
      """)
  int addReason(int item, int membership, Integer step, String text, Instant now);

  /** It is the group that keeps it; {@code membership}: who wrote that down. */
  @Select(
      """
      insert into item_reason (item, membership, text, at, by_group)
      values (#{item}, #{membership}, #{text}, #{now}, true) returning id
      """)
  int addReasonOfGroup(int item, int membership, String text, Instant now);

  /** Under the number that it had, by which undos know it. */
  @Insert(
      """
      insert into item_reason (id, item, membership, step, text, at, by_group)
      overriding system value
      values (#{reason.id}, #{item}, #{reason.membership}, #{reason.step}, #{reason.text},
        #{reason.at}, #{reason.byGroup})
      """)
  void restoreReason(int item, Items.ReasonKept reason);

  @Select(
      """
      select exists (select 1 from item_reason
        where item = #{item} and membership = #{membership} and text = #{text})
      """)
  boolean gaveReason(int item, int membership, String text);

  @Select(
      """
      select exists (select 1 from item_reason
        where item = #{item} and membership = #{membership} and not by_group)
      """)
  boolean kept(int item, int membership);

  /** What a member said of an item, known by what it was; 0 where it is not there. */
  @Update(
      """
      update item_reason r set text = #{text}
      from item i join publication p on p.id = i.publication
      where r.item = i.id and i.folder = #{folder} and r.membership = #{membership}
        and (p.id = #{publication} or p.canonical = #{publication}) and r.text = #{was}
      """)
  int writeReason(int folder, int publication, int membership, String was, String text);

  @Delete("delete from item_reason where id = #{id}")
  void removeReason(int id);

  /** As long as it stands in a folder; 0 where it went elsewhere. */
  @Delete(
      """
      delete from item_reason r using item i
      where r.id = #{id} and i.id = r.item and i.folder = #{folder}
      """)
  int removeReasonIn(int folder, int id);

  @Select(
      """
      select case when r.by_group then 'The group' else m.name end
      from item_reason r join item i on i.id = r.item join membership m on m.id = r.membership
      where i.folder = #{folder} and i.publication in (
        select id from publication where id = #{publication} or canonical = #{publication})
      order by r.at, r.id limit 1
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
      join folders_of(#{membership}) v on v.folder = f.id
      where f.ended is null and i.publication in (
        select id from publication where id = any(#{publications}) or canonical = any(#{publications}))
      order by lower(f.name), f.id
      """)
  List<KeptIn> keptIn(int membership, Integer[] publications);
}
