package org.quietlantern.bench;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.quietlantern.core.search.IndexEntry;
import org.roaringbitmap.RoaringBitmap;

/** What came, in a table with PostgreSQL's full text; all searches in one statement. */
final class BatchFullText implements AutoCloseable {
  private final Connection connection;

  BatchFullText(String database, String password, List<IndexEntry> batch) throws SQLException {
    connection = DriverManager.getConnection(database, "app", password);
    try (Statement statement = connection.createStatement()) {
      statement.execute("create temp table came (id int, words tsvector, kind text)");
    }
    try (PreparedStatement insert =
        connection.prepareStatement("insert into came values (?, to_tsvector('simple', ?), ?)")) {
      for (IndexEntry entry : batch) {
        insert.setInt(1, entry.id());
        insert.setString(2, Texts.of(entry.publication()));
        insert.setString(3, entry.publication().kind().word());
        insert.addBatch();
      }
      insert.executeBatch();
    }
    try (Statement statement = connection.createStatement()) {
      statement.execute("create index on came using gin (words)");
      statement.execute("analyze came");
    }
  }

  List<RoaringBitmap> all(List<WatchedSearch> watched) {
    List<RoaringBitmap> all =
        new ArrayList<>(Stream.generate(RoaringBitmap::new).limit(watched.size()).toList());
    try (PreparedStatement select =
        connection.prepareStatement(
            """
            select w.n, c.id from unnest(?::text[], ?::bool[]) with ordinality w (query, articles, n),
              lateral (select id from came where words @@ to_tsquery('simple', w.query)
                and (not w.articles or kind = 'article')) c
            """)) {
      select.setArray(
          1,
          connection.createArrayOf("text", watched.stream().map(WatchedSearch::tsquery).toArray()));
      select.setArray(
          2,
          connection.createArrayOf(
              "bool", watched.stream().map(WatchedSearch::articles).toArray()));
      try (ResultSet rows = select.executeQuery()) {
        while (rows.next()) {
          all.get(rows.getInt(1) - 1).add(rows.getInt(2));
        }
      }
      return all;
    } catch (SQLException failed) {
      throw new IllegalStateException(failed);
    }
  }

  @Override
  public void close() throws SQLException {
    connection.close();
  }
}
