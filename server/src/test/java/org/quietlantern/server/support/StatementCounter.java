package org.quietlantern.server.support;

import java.util.Set;
import java.util.concurrent.atomic.AtomicInteger;
import org.apache.ibatis.executor.statement.StatementHandler;
import org.apache.ibatis.plugin.Interceptor;
import org.apache.ibatis.plugin.Intercepts;
import org.apache.ibatis.plugin.Invocation;
import org.apache.ibatis.plugin.Signature;

/** Counts the statements that go to the database. */
@Intercepts(
    @Signature(
        type = StatementHandler.class,
        method = "prepare",
        args = {java.sql.Connection.class, Integer.class}))
public final class StatementCounter implements Interceptor {
  /** Threads that work for nobody who waits. */
  private static final Set<String> BEHIND = Set.of("index", "inside-texts");

  private final AtomicInteger count = new AtomicInteger();

  @Override
  public Object intercept(Invocation invocation) throws Throwable {
    if (!BEHIND.contains(Thread.currentThread().getName())) {
      count.incrementAndGet();
    }
    return invocation.proceed();
  }

  public int count() {
    return count.get();
  }
}
