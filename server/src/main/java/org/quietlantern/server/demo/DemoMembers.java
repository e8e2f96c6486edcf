package org.quietlantern.server.demo;

import java.util.Optional;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.group.Member;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/** The made-up members, by what they are called. */
@Component
@ConditionalOnProperty("lantern.demo.enabled")
class DemoMembers {
  private final Groups groups;

  DemoMembers(Groups groups) {
    this.groups = groups;
  }

  /** {@code given}: a name that only one of them has. */
  Member named(String given) {
    return find(given).orElseThrow();
  }

  /** Empty for who is not there yet, or not any more. */
  Optional<Member> find(String given) {
    return groups.everybody().stream()
        .filter(one -> one.name().startsWith(given + " "))
        .findFirst();
  }
}
