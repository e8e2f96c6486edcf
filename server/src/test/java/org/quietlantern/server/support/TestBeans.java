package org.quietlantern.server.support;

import org.quietlantern.server.platform.Checkpoint;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Primary;

/** What tests put into the application. */
@Configuration
public class TestBeans {
  @Bean
  StatementCounter statementCounter() {
    return new StatementCounter();
  }

  @Bean
  @Primary
  Checkpoint dyingCheckpoint() {
    return new DyingCheckpoint();
  }
}
