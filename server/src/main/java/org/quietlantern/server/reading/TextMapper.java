package org.quietlantern.server.reading;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.quietlantern.server.platform.Nullable;

@Mapper
interface TextMapper {
  /** {@code parts}: JSON. */
  record NewFile(
      byte[] hash,
      String form,
      byte[] content,
      int size,
      String title,
      String html,
      String parts,
      boolean words) {}

  @Insert(
      """
      insert into text_file (hash, form, content, size, title, html, parts, words)
      values (#{hash}, #{form}, #{content}, #{size}, #{title}, #{html}, #{parts}::jsonb, #{words})
      on conflict do nothing
      """)
  int addFile(NewFile file);

  /** {@code pages}: JSON, an array of no, label and words. */
  @Insert(
      """
      insert into text_page (hash, no, label, words)
      select #{hash}, p.no, p.label, p.words
      from json_to_recordset(#{pages}::json) p(no integer, label text, words text)
      """)
  void addPages(byte[] hash, String pages);

  /** One that is here already stays while a copy of it is added; null where it is not. */
  @Select("select 1 from text_file where hash = #{hash} for key share")
  Integer hold(byte[] hash);

  record NewCopy(
      String pid,
      int grp,
      int publication,
      byte[] hash,
      String version,
      String origin,
      @Nullable String address,
      String name,
      String licence,
      @Nullable String doubt,
      int membership,
      Instant at) {}

  /** One that was there and is taken out comes back; the answer is the row's number. */
  @Select(
      """
      insert into text_copy (pid, grp, publication, hash, version, origin, address, name, licence,
        doubt, membership, at)
      values (#{pid}, #{grp}, #{publication}, #{hash}, #{version}, #{origin}, #{address}, #{name},
        #{licence}, #{doubt}, #{membership}, #{at})
      on conflict (grp, publication, hash) do update set gone = null
      returning id
      """)
  int addCopy(NewCopy copy);

  /** {@code pages}: how many. */
  record Row(
      int id,
      String pid,
      int grp,
      int publication,
      byte[] hash,
      String form,
      int size,
      String title,
      boolean words,
      int pages,
      String version,
      String origin,
      @Nullable String address,
      String name,
      String licence,
      @Nullable String doubt,
      int membership,
      Instant at) {}

  String ROWS =
      """
      select c.id, c.pid, c.grp, c.publication, c.hash, f.form, f.size, f.title, f.words,
        (select count(*) from text_page p where p.hash = c.hash) as pages,
        c.version, c.origin, c.address, c.name, c.licence, c.doubt, c.membership, c.at
      from text_copy c join text_file f using (hash)
      """;

  /** Of a work and of what was joined with it. */
  @Select(
      ROWS
          + """
          where c.grp = #{group} and c.publication = any(#{publications}) and c.gone is null
          order by c.id
          """)
  List<Row> of(int group, Integer[] publications);

  @Select(ROWS + "where c.grp = #{group} and c.pid = #{pid} and c.gone is null")
  Row find(int group, String pid);

  /** {@code open}: whether guests may read it as well. */
  record Here(int publication, String version, boolean open) {}

  /** The publications that the group has a text of, with the version of the best one. */
  @Select(
      """
      select distinct on (publication) coalesce(p.canonical, p.id) as publication, c.version,
        bool_or(c.origin = 'fetched') over (partition by coalesce(p.canonical, p.id)) as open
      from text_copy c join publication p on p.id = c.publication
      where c.grp = #{group} and c.gone is null and c.doubt is null
      order by publication, array_position(array['final', 'accepted', 'preprint'], c.version)
      """)
  List<Here> here(int group);

  /** Whatever is remembered of the group's texts is read again. */
  @Update("update grp set texts = texts + 1 where id = #{group}")
  void changed(int group);

  @Select("select texts from grp where id = #{group}")
  int edition(int group);

  /** A text and the publication that it is of now; {@code hash}: in hexadecimal. */
  record Searched(int publication, String hash) {}

  /** Of those that there is no doubt about, each once. */
  @Select(
      """
      select distinct coalesce(p.canonical, p.id) as publication, encode(c.hash, 'hex') as hash
      from text_copy c join publication p on p.id = c.publication
        join text_file f on f.hash = c.hash
      where c.grp = #{group} and c.gone is null and c.doubt is null and f.words
      order by 1, 2
      """)
  List<Searched> searched(int group);

  @Select(
      """
      select words from text_page where hash = decode(#{hash}, 'hex') order by no
      """)
  List<String> wordsOf(String hash);

  @Select("select pid from text_copy where id = #{id}")
  String pid(int id);

  record Inside(String html, String parts) {}

  @Select("select html, parts::text as parts from text_file where hash = #{hash}")
  Inside inside(byte[] hash);

  @Select("select no, label, words from text_page where hash = #{hash} order by no")
  List<PageRow> pages(byte[] hash);

  record PageRow(int no, String label, String words) {}

  record Piece(byte[] bytes) {}

  /** {@code from}: of the first byte, from 1. Null where the file is gone. */
  @Select(
      """
      select substring(content from #{from} for #{length}) as bytes from text_file
      where hash = #{hash}
      """)
  Piece piece(byte[] hash, int from, int length);

  @Update("update text_copy set gone = #{gone} where id = #{id}")
  int setGone(int id, @Nullable Instant gone);

  @Delete("delete from text_copy where gone < #{before}")
  int forgetGone(Instant before);

  @Delete(
      """
      delete from text_file f where not exists (select 1 from text_copy c where c.hash = f.hash)
      """)
  int forgetFiles();
}
