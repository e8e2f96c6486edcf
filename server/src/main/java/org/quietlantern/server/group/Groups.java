package org.quietlantern.server.group;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.PublicIds;
import org.quietlantern.server.platform.Refusal;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Groups and who is in them. */
@Service
public class Groups {
  private final GroupMapper mapper;
  private final PublicIds ids;
  private final Calendar calendar;

  Groups(GroupMapper mapper, PublicIds ids, Calendar calendar) {
    this.mapper = mapper;
    this.ids = ids;
    this.calendar = calendar;
  }

  /** The membership of an account in a group, if it has one. */
  @Transactional(readOnly = true)
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

  /** The two letters are the first of the name, or the first and a later one if those are taken. */
  @Transactional
  public void join(int group, int account, String role, String name) {
    List<String> taken = mapper.members(group).stream().map(Member::letters).toList();
    String letters =
        name.substring(1)
            .chars()
            .filter(Character::isLetter)
            .mapToObj(c -> name.charAt(0) + Character.toString(c))
            .filter(two -> !taken.contains(two))
            .findFirst()
            .orElseThrow();
    mapper.join(
        new GroupMapper.NewMember(ids.next(), group, account, role, name, letters, calendar.now()));
  }
}
