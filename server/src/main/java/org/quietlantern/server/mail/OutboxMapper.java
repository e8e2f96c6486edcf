package org.quietlantern.server.mail;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.quietlantern.server.platform.Nullable;

@Mapper
interface OutboxMapper {
  record NewLetter(
      String messageId,
      @Nullable Integer grp,
      String recipient,
      String subject,
      String text,
      String html,
      Instant at,
      Instant systemNow,
      @Nullable String replyTo,
      @Nullable String unsubscribe) {}

  record Row(
      long id,
      String messageId,
      String recipient,
      String subject,
      String text,
      String html,
      int tries,
      @Nullable String replyTo,
      @Nullable String unsubscribe) {}

  record StateRow(long id, String state, @Nullable String trouble) {}

  @Select(
      """
      insert into outbox (message_id, grp, recipient, subject, body_text, body_html, at, state,
        system_due, system_at, reply_to, unsubscribe)
      values (#{messageId}, #{grp}, #{recipient}, #{subject}, #{text}, #{html}, #{at}, 'waiting',
        #{systemNow}, #{systemNow}, #{replyTo}, #{unsubscribe})
      returning id
      """)
  long add(NewLetter letter);

  @Select(
      """
      insert into letter_file (name, type, content) values (#{name}, #{type}, #{content})
      returning id
      """)
  long addFile(Letter.Enclosed file);

  /** In their order. */
  @Insert(
      """
      insert into outbox_file (letter, no, file)
      select #{letter}, f.no, f.file from unnest(#{files}) with ordinality f(file, no)
      """)
  void enclose(long letter, Long[] files);

  @Select(
      """
      select f.name, f.type, f.content from outbox_file o join letter_file f on f.id = o.file
      where o.letter = #{letter} order by o.no
      """)
  List<Letter.Enclosed> files(long letter);

  /** Files of which the last letter has left. */
  @Delete(
      """
      delete from letter_file f where not exists (select from outbox_file o where o.file = f.id)
      """)
  void forgetFiles();

  @Select("select count(*) from outbox where grp = #{group} and system_at > #{since}")
  int writtenSince(int group, Instant since);

  /**
   * Takes the letter that has waited longest, and leaves it to whoever asks until {@code until}: if
   * that one is killed, it is tried again by somebody else.
   */
  @Select(
      """
      update outbox set tries = tries + 1, system_due = #{until}
      where id = (
        select id from outbox where state = 'waiting' and system_due <= #{now}
        order by system_due, id limit 1 for update skip locked)
      returning id, message_id, recipient, subject, body_text as text, body_html as html, tries,
        reply_to, unsubscribe
      """)
  Row take(Instant now, Instant until);

  /** How many could be taken. */
  @Select("select count(*) from outbox where state = 'waiting' and system_due <= #{now}")
  int due(Instant now);

  /** What it said is forgotten. */
  @Update(
      """
      with gone as (delete from outbox_file where letter = #{id})
      update outbox set state = 'sent', sent = #{now}, trouble = null, body_text = '',
        body_html = '', reply_to = null, unsubscribe = null
      where id = #{id} and state = 'waiting'
      """)
  void sent(long id, Instant now);

  @Update(
      "update outbox set trouble = #{trouble}, system_due = #{due} where id = #{id} and state ="
          + " 'waiting'")
  void later(long id, String trouble, Instant due);

  @Update(
      """
      with gone as (delete from outbox_file where letter = #{id})
      update outbox set state = 'given up', trouble = #{trouble}, body_text = '', body_html = '',
        reply_to = null, unsubscribe = null
      where id = #{id} and state = 'waiting'
      """)
  void giveUp(long id, String trouble);

  @Select("select id, state, trouble from outbox where id = any(#{ids})")
  List<StateRow> states(Long[] ids);
}
