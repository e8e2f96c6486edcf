package org.quietlantern.server.holdings;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface HoldingsMapper {
  /** {@code membership}: who supplied it; none for the installation itself. */
  record FileRow(String file, String name, Integer membership, Instant at) {}

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

  @Select("select unnest(lends) from grp where id = #{group} order by 1")
  List<String> lends(int group);

  @Update(
      "update grp set resolver_name = #{name}, resolver_address = #{address} where id = #{group}")
  void link(int group, String name, String address);

  @Select("select file, name, membership, at from holdings_file where grp = #{group}")
  FileRow file(int group);

  @Insert(
      """
      insert into holdings_file (grp, file, name, membership, at)
      values (#{group}, #{file}, #{name}, #{membership}, #{now})
      on conflict (grp) do update set file = excluded.file, name = excluded.name,
        membership = excluded.membership, at = excluded.at
      """)
  void keep(int group, String file, String name, Integer membership, Instant now);

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
