package org.quietlantern.server.platform.sql;

import org.apache.ibatis.session.LocalCacheScope;
import org.mybatis.spring.boot.autoconfigure.SqlSessionFactoryBeanCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** How statements are asked and answered. */
@Configuration(proxyBeanMethods = false)
class SqlConfiguration {
  private static final int STATEMENT_SECONDS = 30;

  @Bean
  SqlSessionFactoryBeanCustomizer rowsToRecords() {
    RecordMaps maps = new RecordMaps();
    // What is asked twice in a transaction may have changed between.
    maps.setLocalCacheScope(LocalCacheScope.STATEMENT);
    maps.setDefaultStatementTimeout(STATEMENT_SECONDS);
    return factory -> factory.setConfiguration(maps);
  }
}
