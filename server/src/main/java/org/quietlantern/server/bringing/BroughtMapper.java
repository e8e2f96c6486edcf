package org.quietlantern.server.bringing;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.quietlantern.server.platform.Nullable;

/** What is brought in, its files, and what could not be read of them. */
@Mapper
interface BroughtMapper {
  /** {@code folder}: row number; {@code command}: by which it is taken. */
  record Row(
      int id,
      String pid,
      int grp,
      int membership,
      String state,
      @Nullable Integer folder,
      @Nullable String folderPid,
      @Nullable String folderName,
      @Nullable UUID command,
      @Nullable String error,
      Instant begun,
      @Nullable Instant ended) {}

  /** Without its content. */
  record FileRow(
      int n,
      String name,
      boolean read,
      String format,
      String[] heads,
      String columns,
      int entries,
      int problems) {}

  record Problem(int file, int line, String sentence) {}

  String ROWS =
      """
      select b.id, b.pid, b.grp, b.membership, b.state, b.folder, f.pid as folder_pid,
        f.name as folder_name, b.command, b.error, b.begun, b.ended
      from brought b left join folder f on f.id = b.folder
      """;

  @Insert(
      """
      insert into brought (pid, grp, membership, begun)
      values (#{pid}, #{group}, #{membership}, #{now})
      """)
  void add(String pid, int group, int membership, Instant now);

  @Select(ROWS + " where b.membership = #{membership} and b.pid = #{pid}")
  @Nullable
  Row find(int membership, String pid);

  /** Held to the end of the transaction. */
  @Select(ROWS + " where b.id = #{id} for update of b")
  @Nullable
  Row lock(int id);

  /** The latest first; {@code before}: of the page before, 0 for the first. */
  @Select(
      ROWS
          + """
          where b.membership = #{membership} and (#{before} = 0 or b.id < #{before})
          order by b.id desc limit #{most}
          """)
  List<Row> of(int membership, int before, int most);

  @Delete("delete from brought where membership = #{membership} and pid = #{pid}")
  int remove(int membership, String pid);

  /** Those nobody went on with. */
  @Delete("delete from brought where state = 'open' and folder is null and begun < #{before}")
  int forget(Instant before);

  @Select("select id from brought where state in ('taking', 'returning') order by id")
  List<Integer> underWay();

  @Update(
      """
      update brought set state = #{state}, ended = #{ended}, error = #{error} where id = #{id}
      """)
  void state(int id, String state, @Nullable Instant ended, @Nullable String error);

  @Update(
      """
      update brought set state = 'taking', folder = #{folder}, command = #{command}, error = null
      where id = #{id}
      """)
  void take(int id, int folder, UUID command);

  @Delete(
      """
      delete from brought_file where brought = #{brought} and n = #{n}
      """)
  void removeFile(int brought, int n);

  /** Files of an archive. */
  @Delete(
      """
      delete from brought_file
      where brought = #{brought} and n between 1000 * (#{n} + 1) and 1000 * (#{n} + 1) + 999
      """)
  void removeParts(int brought, int n);

  @Insert(
      """
      insert into brought_file (brought, n, name, content)
      values (#{brought}, #{n}, #{name}, #{content})
      """)
  void addFile(int brought, int n, String name, byte[] content);

  /** Files of an archive, or a file that was read; {@code heads}: of a table. */
  @Insert(
      """
      insert into brought_file (brought, n, name, content, read, format, heads)
      values (#{brought}, #{n}, #{name}, '', true, #{format}, #{heads}::text[])
      on conflict (brought, n) do update set format = excluded.format, heads = excluded.heads
      """)
  void readFile(int brought, int n, String name, String format, String[] heads);

  @Update("update brought_file set read = #{read} where brought = #{brought} and n = #{n}")
  void isRead(int brought, int n, boolean read);

  @Update(
      """
      update brought_file set columns = #{columns}::jsonb, read = false
      where brought = #{brought} and n = #{n}
      """)
  int columns(int brought, int n, String columns);

  @Select(
      """
      select f.n, f.name, f.read, f.format, f.heads, f.columns::text as columns,
        (select count(*) from brought_entry e where e.brought = f.brought and e.file = f.n)
          as entries,
        (select count(*) from brought_problem p where p.brought = f.brought and p.file = f.n)
          as problems
      from brought_file f where f.brought = #{brought} order by f.n % 1000, f.n
      """)
  List<FileRow> files(int brought);

  record NameOf(int brought, String name) {}

  /** Of files as they were sent. */
  @Select(
      """
      select brought, name from brought_file where brought = any(#{broughts}) and n < 1000
      order by brought, n
      """)
  List<NameOf> names(Integer[] broughts);

  /** A file that is not read yet. */
  record Unread(int brought, int n) {}

  @Select("select brought, n from brought_file where not read order by brought, n")
  List<Unread> unread();

  @Select("select content from brought_file where brought = #{brought} and n = #{n}")
  Content content(int brought, int n);

  /** One column of bytes is a row of its own. */
  record Content(byte[] content) {}

  @Update("update brought_file set content = '' where brought = #{brought}")
  void forgetContents(int brought);

  @Delete("delete from brought_problem where brought = #{brought} and file = #{file}")
  void removeProblems(int brought, int file);

  /** {@code rows}: of {@link Problem}, as a JSON array. */
  @Insert(
      """
      insert into brought_problem (brought, file, n, line, sentence)
      select #{brought}, r.file, row_number() over (), r.line, r.sentence
      from json_to_recordset(#{rows}::json) as r (file integer, line integer, sentence text)
      """)
  void addProblems(int brought, String rows);

  @Select(
      """
      select file, line, sentence from brought_problem where brought = #{brought}
      order by file % 1000, file, n limit #{most} offset #{from}
      """)
  List<Problem> problems(int brought, int from, int most);

  @Select(
      "select columns::text from columns_known where grp = #{group} and heads = #{heads}::text[]")
  @Nullable
  String knownColumns(int group, String[] heads);

  @Insert(
      """
      insert into columns_known (grp, heads, columns)
      values (#{group}, #{heads}::text[], #{columns}::jsonb)
      on conflict (grp, heads) do update set columns = excluded.columns
      """)
  void knowColumns(int group, String[] heads, String columns);
}
