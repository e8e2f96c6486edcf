package org.quietlantern.server.platform;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.regex.Pattern;
import org.apache.ibatis.mapping.MappedStatement;
import org.apache.ibatis.mapping.ResultMap;
import org.apache.ibatis.mapping.ResultMapping;
import org.apache.ibatis.scripting.defaults.RawSqlSource;
import org.apache.ibatis.session.Configuration;
import org.apache.ibatis.session.SqlSessionFactory;
import org.junit.jupiter.api.Test;
import org.quietlantern.server.support.TestApp;

class RecordMapsTest {
  private final Configuration configuration =
      TestApp.shared().bean(SqlSessionFactory.class).getConfiguration();

  @Test
  void everyRecordIsMadeByNames() {
    assertThat(ofRecords()).hasSizeGreaterThan(100);
    assertThat(ofRecords())
        .allSatisfy(map -> assertThat(map.getConstructorResultMappings()).isNotEmpty());
  }

  @Test
  void everyStatementHasTheColumnsOfItsRecord() {
    List<String> missing = new ArrayList<>();
    int looked = 0;
    List<Object> all = List.copyOf(configuration.getMappedStatements());
    for (Object each : all) {
      // Names that stand for several are no statements.
      if (each instanceof MappedStatement statement
          && statement.getSqlSource() instanceof RawSqlSource plain) {
        looked++;
        String sql = plain.getBoundSql(new HashMap<>()).getSql();
        statement.getResultMaps().stream()
            .filter(map -> map.getType().isRecord())
            .flatMap(map -> map.getConstructorResultMappings().stream())
            .map(ResultMapping::getColumn)
            .filter(column -> !sql.contains("*"))
            .filter(column -> !Pattern.compile("\\b" + column + "\\b").matcher(sql).find())
            .forEach(column -> missing.add(statement.getId() + " lacks " + column));
      }
    }
    assertThat(looked).isGreaterThan(100);
    assertThat(missing).isEmpty();
  }

  private List<ResultMap> ofRecords() {
    List<Object> all = List.copyOf(configuration.getResultMaps());
    return all.stream()
        .filter(ResultMap.class::isInstance)
        .map(ResultMap.class::cast)
        .filter(map -> map.getType().isRecord())
        .toList();
  }
}
