package org.quietlantern.server.platform;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.io.InputStream;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.util.List;
import java.util.Map;
import java.util.zip.GZIPInputStream;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.quietlantern.server.platform.start.Migrations;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.TestApp;
import org.springframework.core.io.InputStreamResource;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.datasource.SingleConnectionDataSource;
import org.springframework.jdbc.datasource.init.ScriptUtils;

/** Databases of each released version are brought to this one; newer ones are left alone. */
class ReleasedDatabasesTest {
  private static final String COLUMNS =
      """
      select table_name || '.' || column_name || ' ' || data_type || ' ' || is_nullable || ' '
        || coalesce(column_default, '')
      from information_schema.columns where table_schema = 'public' order by 1
      """;

  private static final String INDEXES =
      "select tablename || ' ' || regexp_replace(indexdef, 'INDEX \\S+ ON', 'INDEX ON')"
          + " from pg_indexes where schemaname = 'public' order by 1";

  private static String database(String version) throws IOException, SQLException {
    String url = TestApp.newDatabase();
    try (InputStream script =
            new GZIPInputStream(
                ReleasedDatabasesTest.class.getResourceAsStream(
                    "/released/" + version + ".sql.gz"));
        Connection connection = DriverManager.getConnection(url, "app", "")) {
      ScriptUtils.executeSqlScript(connection, new InputStreamResource(script));
    }
    return url;
  }

  private static JdbcTemplate at(String url) {
    return new JdbcTemplate(new SingleConnectionDataSource(url, "app", "", true));
  }

  @ParameterizedTest
  @ValueSource(strings = "0.1.0")
  void broughtToThisVersion(String version) throws IOException, SQLException {
    String url = database(version);
    JdbcTemplate there = at(url);
    List<Map<String, Object>> items = there.queryForList("select id, publication from item");
    assertThat(items).isNotEmpty();
    // Its key was not kept with it: what it sealed is made anew.
    there.update("delete from installation_secret");
    int before =
        there.queryForObject("select max(version::int) from flyway_schema_history", Integer.class);
    assertThat(before).isLessThan(Migrations.newest());

    String fresh = TestApp.newDatabase();
    Flyway.configure().dataSource(fresh, "app", "").load().migrate();
    try (TestApp app = TestApp.on(url)) {
      assertThat(there.queryForList("select id, publication from item")).isEqualTo(items);
      assertThat(there.queryForList(COLUMNS, String.class))
          .isEqualTo(at(fresh).queryForList(COLUMNS, String.class));
      assertThat(there.queryForList(INDEXES, String.class))
          .isEqualTo(at(fresh).queryForList(INDEXES, String.class));
      Client ilse = new Client(app.address());
      ilse.signIn("ilse@ternhollow.example", "lamp-at-dusk");
      String group = ilse.get("/api/me").ok().at("/groups/0/id").asString();
      assertThat(
              ilse.post("/api/groups/" + group + "/search", Map.of("text", "bats"))
                  .ok()
                  .at("/answer/count")
                  .asInt())
          .isPositive();
    }
  }

  @Test
  @DisplayName("A database of a newer version is refused with what to do, and left as it is")
  void newer() throws IOException, SQLException {
    String url = database("0.1.0");
    at(url)
        .update(
            "insert into flyway_schema_history (installed_rank, version, description, type, script,"
                + " checksum, installed_by, execution_time, success) values"
                + " (999, '999', 'later', 'SQL', 'V999__later.sql', 1, 'app', 1, true)");
    assertThatThrownBy(() -> TestApp.on(url))
        .rootCause()
        .hasMessage(
            "The database is of a newer version (migration 999; this one knows %d)."
                .formatted(Migrations.newest()));
    assertThat(at(url).queryForObject("select count(*) from flyway_schema_history", Integer.class))
        .isEqualTo(18);
  }

  @Test
  @DisplayName("A database of something else is refused, and nothing is put into it")
  void somethingElse() {
    String url = TestApp.newDatabase();
    at(url).execute("create table recipe (name text)");
    assertThatThrownBy(() -> TestApp.on(url))
        .rootCause()
        .hasMessage("The database has tables of something else.");
    assertThat(
            at(url)
                .queryForList(
                    "select tablename from pg_tables where schemaname = 'public'", String.class))
        .containsExactly("recipe");
  }
}
