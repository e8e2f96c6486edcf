package org.quietlantern.server.person;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** What is erased of a person, and what stays under no name. {@code account}: row number. */
@Mapper
interface ErasingMapper {
  String OF_THEIRS = "(select id from membership where account = #{account})";
  String THEIR_PILES = "(select id from folder where owner in " + OF_THEIRS + ")";
  String THEIR_EMAIL = "(select email from account where id = #{account})";

  /** Public ids of the groups that they are in. */
  @Select(
      """
      select g.pid from membership m join grp g on g.id = m.grp
      where m.account = #{account} and m.left_at is null order by m.id
      """)
  List<String> groups(int account);

  @Update(
      "update item_reason set step = null where step in"
          + " (select id from step where membership in "
          + OF_THEIRS
          + ")")
  void forgetHowItWasFound(int account);

  @Delete("delete from opening where membership in " + OF_THEIRS)
  void forgetOpened(int account);

  @Delete("delete from step where membership in " + OF_THEIRS)
  void forgetTrail(int account);

  @Delete("delete from remark_mention where membership in " + OF_THEIRS)
  void forgetMentions(int account);

  @Delete("delete from absence where membership in " + OF_THEIRS)
  void forgetAbsences(int account);

  /** What they wrote in acts that were told to nobody else, in their pile for example. */
  @Update(
      "update action set before = '{}', answer = '{}', differences = '[]' where visible_to = 'me'"
          + " and membership in "
          + OF_THEIRS)
  void forgetOwnActs(int account);

  @Delete("delete from margin_note where not shared and membership in " + OF_THEIRS)
  void forgetOwnMargin(int account);

  /** With what was told in them. */
  @Delete("delete from digest where membership in " + OF_THEIRS)
  void forgetDigests(int account);

  @Delete("delete from alert_receiver where membership in " + OF_THEIRS)
  void forgetReceiving(int account);

  @Delete("delete from holdings_file where owner in " + OF_THEIRS)
  void forgetOwnHoldings(int account);

  @Delete(
      "delete from item_reason where item in (select id from item where folder in "
          + THEIR_PILES
          + ")")
  void forgetReasonsInPile(int account);

  @Delete("delete from item where folder in " + THEIR_PILES)
  void emptyPile(int account);

  @Delete("delete from note where folder in " + THEIR_PILES)
  void forgetReportsInPile(int account);

  @Delete("delete from folder where owner in " + OF_THEIRS)
  void removePile(int account);

  @Update("update feed set revoked = #{now} where revoked is null and membership in " + OF_THEIRS)
  void revokeFeeds(int account, Instant now);

  @Delete("delete from known_device where account = #{account}")
  void forgetDevices(int account);

  @Delete("delete from address_change where account = #{account}")
  void forgetAddresses(int account);

  @Delete("delete from forgotten where email = " + THEIR_EMAIL)
  void forgetForgotten(int account);

  @Delete("delete from entry_link where email = " + THEIR_EMAIL)
  void forgetEntries(int account);

  @Update(
      "update invitation set email = 'erased-' || id || '@erased.invalid' where email = "
          + THEIR_EMAIL)
  void forgetInvitations(int account);

  @Delete("delete from outbox where recipient = " + THEIR_EMAIL)
  void forgetLetters(int account);

  /** Letters in their name that still wait. */
  @Delete(
      "delete from outbox where state = 'waiting' and id in (select l.letter from sending_letter l"
          + " join sending d on d.id = l.sending where d.membership in "
          + OF_THEIRS
          + ")")
  void forgetLettersOfTheirs(int account);

  @Delete("delete from sending where membership in " + OF_THEIRS)
  void forgetSendings(int account);

  /** What stands on the drive stays there. */
  @Delete("delete from drive_file where membership in " + OF_THEIRS)
  void forgetDriveFiles(int account);

  /** The drive is the group's, whoever set it. */
  @Update("update drive set membership = null where membership in " + OF_THEIRS)
  void forgetWhoSetDrives(int account);

  /** How it came in; what it became is the group's. */
  @Delete("delete from brought where membership in " + OF_THEIRS)
  void forgetBrought(int account);

  /** What an undo by somebody else would have needed of their address. */
  @Update("update action set before = before - 'email' where before ->> 'email' = " + THEIR_EMAIL)
  void forgetInActions(int account);

  /** Their name, where an answer or what was before has it as somebody's. */
  @Update(
      """
      update action a set
        answer = replace(a.answer::text, to_jsonb(m.name)::text, '"a former member"')::jsonb,
        before = replace(a.before::text, to_jsonb(m.name)::text, '"a former member"')::jsonb
      from membership m
      where m.account = #{account} and a.grp = m.grp
        and position(to_jsonb(m.name)::text in a.answer::text || a.before::text) > 0
      """)
  void forgetNameInActions(int account);

  /** Their name, where an account that was kept says by whom it was made, or who was there. */
  @Update(
      """
      update note n set blocks = replace(n.blocks::text,
        trim('"' from to_jsonb(m.name)::text), 'a former member')::jsonb
      from membership m
      where m.account = #{account} and (n.membership = m.id or (n.of like 'meeting:%'
          and n.folder in (select id from folder where grp = m.grp)))
        and position(trim('"' from to_jsonb(m.name)::text) in n.blocks::text) > 0
      """)
  void forgetNameInReports(int account);

  /** The same in the answer to whoever kept it. */
  @Update(
      """
      update action a set answer = replace(a.answer::text,
        trim('"' from to_jsonb(m.name)::text), 'a former member')::jsonb
      from membership m
      where m.account = #{account} and a.what = 'note.keep' and (a.membership = m.id
        or (a.grp = m.grp and a.answer ->> 'of' like 'meeting:%'))
      """)
  void forgetNameInKeptReports(int account);

  @Update(
      """
      update membership set name = 'A former member', letters = '#' || id, librarian = false
      where account = #{account}
      """)
  void forgetNames(int account);

  @Update(
      """
      update account set email = 'erased-' || id || '@erased.invalid', password_hash = '',
        zone = 'UTC', letters = false, steward = false, erased = #{now}
      where id = #{account}
      """)
  void forgetAccount(int account, Instant now);
}
