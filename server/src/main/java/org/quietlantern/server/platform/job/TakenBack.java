package org.quietlantern.server.platform.job;

import java.util.function.IntSupplier;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionTemplate;

/** Looks at what mending would change, by mending and taking it back. */
@Component
public class TakenBack {
  private final TransactionTemplate transaction;

  TakenBack(PlatformTransactionManager transactions) {
    this.transaction = new TransactionTemplate(transactions);
    transaction.setPropagationBehavior(TransactionDefinition.PROPAGATION_REQUIRES_NEW);
    transaction.setIsolationLevel(TransactionDefinition.ISOLATION_REPEATABLE_READ);
  }

  /** What {@code mend} answers; whatever it wrote is not there afterwards. */
  public int count(IntSupplier mend) {
    Integer count =
        transaction.execute(
            status -> {
              status.setRollbackOnly();
              return mend.getAsInt();
            });
    return count == null ? 0 : count;
  }
}
