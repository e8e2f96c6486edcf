package org.quietlantern.server.holdings;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface HoldingsMapper {
  /** {@code membership}: who supplied it; none for the installation itself. */
  record FileRow(String shelf, String file, String name, Integer membership, Instant at) {}

  /** A journal; {@code formerTitle} is empty if it was always called so. */
  record JournalRow(
      String issn,
      String title,
      String publisher,
      String discipline,
      Integer since,
      Integer peerReviewedFrom,
      String formerTitle,
      Integer formerUntil) {}

  @Select("select lenders from grp where id = #{group}")
  String lenders(int group);

  @Update("update grp set lenders = #{lenders}::jsonb where id = #{group}")
  void lend(int group, String lenders);

  @Update(
      "update grp set resolver_name = #{name}, resolver_address = #{address} where id = #{group}")
  void link(int group, String name, String address);

  /** {@code owner} 0: nobody's own. */
  @Select(
      """
      select shelf, file, name, membership, at from holdings_file
      where grp = #{group} and shelf = #{shelf} and coalesce(owner, 0) = #{owner}
      """)
  FileRow file(int group, String shelf, int owner);

  /** What is in print, and what is the member's own. */
  @Select(
      """
      select shelf, file, name, membership, at from holdings_file
      where grp = #{group} and (shelf = 'printed' or owner = #{owner}) order by shelf
      """)
  List<FileRow> elsewhere(int group, int owner);

  @Delete(
      """
      delete from holdings_file
      where grp = #{group} and shelf = #{shelf} and coalesce(owner, 0) = #{owner}
      """)
  void drop(int group, String shelf, int owner);

  @Insert(
      """
      insert into holdings_file (grp, shelf, owner, file, name, membership, at)
      values (#{group}, #{file.shelf}, nullif(#{owner}, 0), #{file.file}, #{file.name},
        #{file.membership}, #{file.at})
      on conflict (grp, shelf, coalesce(owner, 0)) do update set file = excluded.file, name = excluded.name,
        membership = excluded.membership, at = excluded.at
      """)
  void keep(int group, int owner, FileRow file);

  @Insert(
      """
      insert into journal (issn, title, publisher, discipline, since, peer_reviewed_from,
        former_title, former_until)
      values (#{issn}, #{title}, #{publisher}, #{discipline}, #{since}, #{peerReviewedFrom},
        #{formerTitle}, #{formerUntil})
      on conflict (issn) do update set title = excluded.title, publisher = excluded.publisher,
        discipline = excluded.discipline, since = excluded.since,
        peer_reviewed_from = excluded.peer_reviewed_from,
        former_title = excluded.former_title, former_until = excluded.former_until
      """)
  void journal(JournalRow journal);

  @Select(
      """
      select issn, title, publisher, discipline, since, peer_reviewed_from, former_title,
        former_until
      from journal order by issn
      """)
  List<JournalRow> journals();
}
