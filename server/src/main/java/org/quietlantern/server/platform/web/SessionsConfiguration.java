package org.quietlantern.server.platform.web;

import org.springframework.beans.factory.config.BeanPostProcessor;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.session.jdbc.JdbcIndexedSessionRepository;

/** Puts {@link SparingSessions} before the table of sessions. */
@Configuration
class SessionsConfiguration {
  @Bean
  static BeanPostProcessor sparingSessions() {
    return new BeanPostProcessor() {
      @Override
      public Object postProcessAfterInitialization(Object bean, String name) {
        return bean instanceof JdbcIndexedSessionRepository stored
            ? new SparingSessions<>(stored)
            : bean;
      }
    };
  }
}
