package org.quietlantern.server.action;

import java.util.List;
import java.util.Optional;
import org.quietlantern.server.group.Member;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What happened in a group, for pages that want to stay true. */
@Service
public class Happenings {
  private final ActionMapper mapper;

  /** The number to ask from next time, and the kinds of action since. */
  public record Changes(long latest, List<String> kinds) {}

  Happenings(ActionMapper mapper) {
    this.mapper = mapper;
  }

  /** Empty while nothing happened since that number. */
  @Transactional(readOnly = true)
  public Optional<Changes> since(Member me, long since) {
    long latest = mapper.latest(me.group());
    return latest == since
        ? Optional.empty()
        : Optional.of(new Changes(latest, mapper.since(me.group(), me.id(), since)));
  }
}
