package org.quietlantern.server.catalogue;

import org.quietlantern.server.platform.job.NightlyCheck;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/**
 * Publications and records that do not hang together as the door leaves them. What is true only the
 * sources know: a steward has a source asked for everything again.
 */
@Component
@Order(3)
class OrphanCheck implements NightlyCheck {
  private final OrphanMapper mapper;

  OrphanCheck(OrphanMapper mapper) {
    this.mapper = mapper;
  }

  @Override
  public String what() {
    return "publications and their records";
  }

  @Override
  public int look() {
    return mapper.withoutRecords() + mapper.withdrawnWithRecords() + mapper.joinedTwice();
  }
}
