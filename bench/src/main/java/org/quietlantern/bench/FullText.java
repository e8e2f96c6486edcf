package org.quietlantern.bench;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Iterator;
import java.util.stream.Stream;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.core.search.Entry;

/** PostgreSQL's own full text on the same records, with a GIN index. */
final class FullText implements AutoCloseable {
  private static final int BATCH = 1_000;
  private final Connection connection;

  FullText(String address, String password, Stream<Entry> records) throws SQLException {
    connection = DriverManager.getConnection(address, "app", password);
    try (Statement statement = connection.createStatement()) {
      statement.execute("create temp table record (id int primary key, words tsvector)");
    }
    try (PreparedStatement insert =
        connection.prepareStatement("insert into record values (?, to_tsvector('english', ?))")) {
      for (Iterator<Entry> entries = records.iterator(); entries.hasNext(); ) {
        Entry entry = entries.next();
        insert.setInt(1, entry.id());
        insert.setString(2, text(entry.publication()));
        insert.addBatch();
        if (entry.id() % BATCH == 0 || !entries.hasNext()) {
          insert.executeBatch();
        }
      }
    }
    try (Statement statement = connection.createStatement()) {
      statement.execute("create index on record using gin (words)");
      statement.execute("analyze record");
    }
  }

  private static String text(Publication publication) {
    return publication.title()
        + " "
        + publication.abstractText()
        + " "
        + publication.headings()
        + " "
        + publication.keywords();
  }

  /** Exact count, with the first 1,000 ids by rank read as well. */
  int search(String tsquery) {
    String sql =
        "select id, count(*) over () from record, to_tsquery('english', ?) q where words @@ q"
            + " order by ts_rank(words, q) desc, id limit 1000";
    try (PreparedStatement select = connection.prepareStatement(sql)) {
      select.setString(1, tsquery);
      int count = 0;
      try (ResultSet rows = select.executeQuery()) {
        while (rows.next()) {
          count = rows.getInt(2);
        }
      }
      return count;
    } catch (SQLException failed) {
      throw new IllegalStateException(failed);
    }
  }

  @Override
  public void close() throws SQLException {
    connection.close();
  }
}
