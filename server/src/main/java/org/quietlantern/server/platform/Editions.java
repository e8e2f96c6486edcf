package org.quietlantern.server.platform;

import java.util.EnumMap;
import java.util.Map;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * Numbers of what counts depend on besides the catalogue. Whoever changes one of these things takes
 * its next edition in the same transaction; whoever works something out of them keeps it until the
 * number has grown.
 */
@Component
public class Editions {
  /** What has editions. */
  public enum Kind {
    VOCABULARY,
    JOURNALS,
    HOLDINGS
  }

  private final EditionMapper mapper;

  Editions(EditionMapper mapper) {
    this.mapper = mapper;
  }

  @Transactional(readOnly = true)
  public Map<Kind, Integer> now() {
    Map<Kind, Integer> now = new EnumMap<>(Kind.class);
    mapper.all().forEach(row -> now.put(Kind.valueOf(row.kind()), row.no()));
    return now;
  }

  @Transactional(propagation = Propagation.MANDATORY)
  public void next(Kind kind) {
    mapper.next(kind.name());
  }
}
