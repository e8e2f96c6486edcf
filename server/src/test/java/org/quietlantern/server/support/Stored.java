package org.quietlantern.server.support;

import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.JdbcTemplate;

/**
 * What stands in the database: much sooner asked than everything that can be read of it. When a
 * visit was last used is left out: it is noted once a minute, whatever is asked then.
 */
public final class Stored {
  private static final String NOTED_BY_THE_CLOCK = "array['last_access_time', 'expiry_time']";

  private final JdbcTemplate database;
  private final String sums;

  public Stored(TestApp app) {
    database = app.bean(JdbcTemplate.class);
    sums =
        database
            .queryForList(
                "select tablename from pg_tables where schemaname = 'public' order by 1",
                String.class)
            .stream()
            .map(
                table ->
                    "select '%s' as named, count(*) || ' rows ' || coalesce(sum(hashtextextended(%s, 0)), 0) as holds from %s t"
                        .formatted(table, row(table), table))
            .collect(Collectors.joining(" union all "));
  }

  private static String row(String table) {
    return table.equals("spring_session")
        ? "(to_jsonb(t) - " + NOTED_BY_THE_CLOCK + ")::text"
        : "t::text";
  }

  /** Table to how many rows are in it, and a sum over them. */
  public Map<String, String> now() {
    Map<String, String> now = new TreeMap<>();
    database
        .queryForList(sums)
        .forEach(row -> now.put((String) row.get("named"), (String) row.get("holds")));
    return now;
  }
}
