package org.quietlantern.server.export;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.quietlantern.server.platform.Nullable;

@Mapper
interface SendingMapper {
  record NewSending(
      String pid,
      int group,
      int membership,
      String name,
      int works,
      String file,
      int texts,
      Instant at) {}

  record Row(int id, String pid, String name, int works, String file, int texts, Instant at) {}

  record LetterRow(int sending, String to, String state, @Nullable String trouble) {}

  record Address(String pid, String email) {}

  @Select(
      """
      insert into sending (pid, grp, membership, name, works, file, texts, at)
      values (#{pid}, #{group}, #{membership}, #{name}, #{works}, #{file}, #{texts}, #{at}) returning id
      """)
  int add(NewSending sending);

  @Insert("insert into sending_letter (sending, letter) values (#{sending}, #{letter})")
  void addLetter(int sending, long letter);

  /** The latest first; {@code before}: of the page before, 0 for the first. */
  @Select(
      """
      select id, pid, name, works, file, texts, at from sending
      where membership = #{membership} and (#{before} = 0 or id < #{before})
      order by id desc limit #{most}
      """)
  List<Row> of(int membership, int before, int most);

  @Select("select id from sending where membership = #{membership} and pid = #{pid}")
  Integer find(int membership, String pid);

  @Select(
      """
      select l.sending, o.recipient as "to", o.state, o.trouble
      from sending_letter l join outbox o on o.id = l.letter
      where l.sending = any(#{sendings}) order by o.id
      """)
  List<LetterRow> letters(Integer[] sendings);

  /** Of members who are in the group now. */
  @Select(
      """
      select m.pid, a.email from membership m join account a on a.id = m.account
      where m.grp = #{group} and m.pid = any(#{members}::text[]) and m.left_at is null
      order by m.id
      """)
  List<Address> addresses(int group, String[] members);
}
