package org.quietlantern.server.group;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.quietlantern.core.publication.Text;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.PublicIds;
import org.quietlantern.server.platform.Refusal;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Groups and who is in them. */
@Service
public class Groups {
  private static final int LONGEST_NAME = 120;
  private final GroupMapper mapper;
  private final PublicIds ids;
  private final Calendar calendar;
  private final ApplicationEventPublisher events;

  Groups(GroupMapper mapper, PublicIds ids, Calendar calendar, ApplicationEventPublisher events) {
    this.events = events;
    this.mapper = mapper;
    this.ids = ids;
    this.calendar = calendar;
  }

  /** The membership of an account in a group, if it has one. One statement: no transaction. */
  @Transactional(propagation = Propagation.SUPPORTS, readOnly = true)
  public Optional<Member> findMember(String group, int account) {
    return Optional.ofNullable(mapper.findMember(group, account));
  }

  @Transactional(readOnly = true)
  public String name(int group) {
    return mapper.get(group).name();
  }

  /** Whether a member looks after the shared catalogue of the installation (rule R1). */
  @Transactional(readOnly = true)
  public boolean isSteward(Member who) {
    return mapper.isSteward(who.id());
  }

  /** Refuses everybody but stewards; {@code sentence}: who does what they asked for. */
  @Transactional(readOnly = true)
  public void requireSteward(Member who, String sentence) {
    if (!isSteward(who)) {
      throw new Refusal(HttpStatus.FORBIDDEN, "not-yours", sentence);
    }
  }

  /** The account of a member. */
  @Transactional(readOnly = true)
  public int account(Member who) {
    return mapper.account(who.id());
  }

  /** Everybody who is in it now, in order of joining. */
  @Transactional(readOnly = true)
  public List<Member> members(int group) {
    return mapper.members(group);
  }

  /** Who is in a group under a public id; unknown where nobody is. */
  @Transactional(readOnly = true)
  public Member member(int group, String pid) {
    return members(group).stream()
        .filter(one -> one.pid().equals(pid))
        .findFirst()
        .orElseThrow(Refusal::unknown);
  }

  /** Who is in a group now under a membership (row number). */
  @Transactional(readOnly = true)
  public Optional<Member> inGroup(int group, int membership) {
    return members(group).stream().filter(one -> one.id() == membership).findFirst();
  }

  /** Whether nobody else coordinates the group of a member who does. */
  @Transactional(readOnly = true)
  public boolean isLastCoordinator(Member member) {
    return member.coordinates()
        && members(member.group()).stream()
            .noneMatch(one -> one.id() != member.id() && one.coordinates());
  }

  /** Members of all groups, for work that is done for all of them. */
  @Transactional(readOnly = true)
  public List<Member> everybody() {
    return mapper.everybody();
  }

  /** Names of everybody who is in it now, by row number of the membership. */
  @Transactional(readOnly = true)
  public Map<Integer, String> names(int group) {
    return members(group).stream().collect(Collectors.toMap(Member::id, Member::name));
  }

  @Transactional(readOnly = true)
  public boolean any() {
    return mapper.any();
  }

  /** Founds a group; answers its row number. */
  @Transactional
  public int add(String name, String zone) {
    return mapper.add(ids.next(), name, zone);
  }

  /** A name of a group or a person, in its field of a form; refused where it is none. */
  public static String called(@Nullable String given, String field, String what) {
    String name = given == null ? "" : Text.legal(given).strip();
    if (name.codePoints().filter(Character::isLetter).count() < 2 || name.length() > LONGEST_NAME) {
      throw Refusal.unusable(
          field, what + " is called by two letters at least, 120 characters at most.");
    }
    return name;
  }

  @Transactional(readOnly = true)
  public GroupSettings settings(int group) {
    GroupMapper.SettingsRow row = mapper.settings(group);
    return new GroupSettings(
        row.name(),
        row.zone(),
        row.membersInvite(),
        row.usualLimits(),
        List.of(row.reasons()),
        mapper.librarians(group),
        row.citationStyle(),
        row.citationLanguage(),
        row.version());
  }

  /** Told in the transaction in which a group's days begin in another zone; row number. */
  public record ZoneChanged(int group) {}

  /** Sets what a group has set, as a part of a command. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void set(int group, GroupSettings settings) {
    boolean isElsewhere = !mapper.settings(group).zone().equals(settings.zone());
    mapper.set(
        group,
        new GroupMapper.SettingsRow(
            settings.name(),
            settings.zone(),
            settings.membersInvite(),
            settings.usualLimits(),
            settings.reasons().toArray(String[]::new),
            settings.citationStyle(),
            settings.citationLanguage(),
            settings.version()));
    mapper.setLibrarians(group, settings.librarians().toArray(String[]::new));
    if (isElsewhere) {
      events.publishEvent(new ZoneChanged(group));
      // On which days somebody is away is told in the zone.
      events.publishEvent(new PeopleChanged(group));
    }
  }

  /** Somebody who is in a group, and the address of their account. */
  public record InGroup(
      int id,
      String pid,
      String name,
      String role,
      boolean onlyFolders,
      String email,
      Instant joined) {}

  /** Everybody who is in it now, in order of joining. */
  @Transactional(readOnly = true)
  public List<InGroup> people(int group) {
    return mapper.people(group);
  }

  /** When those left who could mark something, since a moment; the first first. */
  @Transactional(readOnly = true)
  public List<Instant> leftSince(int group, Instant since) {
    return mapper.leftSince(group, since);
  }

  /** Told in the transaction in which who is in a group, or as what, has changed; row number. */
  public record PeopleChanged(int group) {}

  /** Gives a member another role, as a part of a command; {@code onlyFolders}: a guest of some. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void setRole(Member member, String role, boolean onlyFolders) {
    mapper.setRole(member.id(), role, onlyFolders);
    events.publishEvent(new PeopleChanged(member.group()));
  }

  /** Ends a membership, as a part of a command; what was said under it stays. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void end(Member member) {
    mapper.setLeft(member.id(), calendar.now());
    events.publishEvent(new PeopleChanged(member.group()));
  }

  /** Lets a membership that was ended (row number) go on as it was, as a part of an undo. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void bringBack(int group, int membership) {
    if (mapper.isErased(membership)) {
      throw Refusal.conflict(
          "erased", "They had everything about them erased; nothing brings them back.");
    }
    mapper.setLeft(membership, null);
    events.publishEvent(new PeopleChanged(group));
  }

  /**
   * Lets somebody in who was asked. Whoever was in the group before goes on under the same
   * membership, and owes what comes from now on.
   */
  @Transactional(propagation = Propagation.MANDATORY)
  public void letIn(Coming coming) {
    if (mapper.comeAgain(coming, calendar.now()) == 0) {
      join(coming);
    }
    events.publishEvent(new PeopleChanged(coming.group()));
  }

  /**
   * Somebody who comes into a group. Row numbers.
   *
   * @param onlyFolders whether they see single folders only
   */
  public record Coming(int group, int account, String role, boolean onlyFolders, String name) {}

  /** The two letters are the first of the name, or the first and a later one if those are taken. */
  @Transactional
  public void join(int group, int account, String role, String name) {
    join(new Coming(group, account, role, false, name));
  }

  private void join(Coming coming) {
    List<String> taken = mapper.members(coming.group()).stream().map(Member::letters).toList();
    String letters = lettersOf(coming.name(), taken);
    mapper.join(ids.next(), coming, letters, calendar.now());
  }

  /** Two letters; a third is a number where whoever is there has them all. */
  private static String lettersOf(String name, List<String> taken) {
    int[] letters = name.codePoints().filter(Character::isLetter).toArray();
    String first = Character.toString(letters[0]);
    for (int i = 1; i < letters.length; i++) {
      String two = first + Character.toString(letters[i]);
      if (!taken.contains(two)) {
        return two;
      }
    }
    String two = first + Character.toString(letters[1]);
    int n = 2;
    while (taken.contains(two + n)) {
      n++;
    }
    return two + n;
  }
}
