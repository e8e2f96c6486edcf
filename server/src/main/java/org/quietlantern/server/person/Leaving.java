package org.quietlantern.server.person;

import org.quietlantern.server.action.Commands;
import org.quietlantern.server.action.Subject;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Refusal;
import org.springframework.stereotype.Component;

/** Takes somebody out of all their groups, as a part of what ends their account. */
@Component
class Leaving {
  private final ErasingMapper mapper;
  private final Groups groups;
  private final Commands commands;

  Leaving(ErasingMapper mapper, Groups groups, Commands commands) {
    this.mapper = mapper;
    this.groups = groups;
    this.commands = commands;
  }

  /** Refused while others would be left without a coordinator (R2). */
  void everywhere(int account) {
    for (String group : mapper.groups(account)) {
      leave(groups.findMember(group, account).orElseThrow());
    }
  }

  private void leave(Member member) {
    boolean others = groups.members(member.group()).size() > 1;
    if (others && groups.isLastCoordinator(member)) {
      throw Refusal.conflict(
          "last-coordinator",
          "“%s” would be left without a coordinator; somebody else has to be one first."
              .formatted(groups.name(member.group())));
    }
    commands.note(member, "member.end", new Subject(Subject.Of.PERSON, member.pid()));
    groups.end(member);
  }
}
