package org.quietlantern.server.index;

import java.util.Set;
import org.quietlantern.server.platform.job.MendingCheck;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** Holds this process's copy of the catalogue against the database, publication by publication. */
@Component
@Order(0)
class IndexCheck implements MendingCheck {
  private final IndexKeeper keeper;

  IndexCheck(IndexKeeper keeper) {
    this.keeper = keeper;
  }

  @Override
  public String what() {
    return "the index";
  }

  @Override
  public int look() {
    return keeper.differences().size();
  }

  @Override
  public int mend() {
    Set<Integer> differ = keeper.differences();
    keeper.takeAgain(differ);
    return differ.size();
  }
}
