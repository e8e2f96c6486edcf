package org.quietlantern.bench;

import java.sql.Array;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Iterator;
import java.util.List;
import java.util.stream.Stream;
import org.quietlantern.core.publication.HeadingUse;
import org.quietlantern.core.publication.PersonName;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.core.search.IndexEntry;

/** PostgreSQL's own full text on the same records, with a GIN index. */
final class FullText implements AutoCloseable {
  private static final int BATCH = 1_000;

  /** How each of {@link Question#DIVIDED} is grouped. */
  private static final List<String> GROUPED =
      List.of(
          "year", "kind", "journal", "language", "taxon", "unnest(keywords)", "unnest(authors)");

  private final Connection connection;

  FullText(String address, String password, Stream<IndexEntry> records) throws SQLException {
    connection = DriverManager.getConnection(address, "app", password);
    try (Statement statement = connection.createStatement()) {
      statement.execute("drop table if exists bench_record");
      statement.execute(
          "create unlogged table bench_record (id int, words tsvector, year int, kind text,"
              + " journal text, language text, taxon text, keywords text[], authors text[])");
    }
    fill(records);
    try (Statement statement = connection.createStatement()) {
      index(statement);
    }
  }

  /** So many copies of the records in all, of which there is one so far. */
  void become(int times) throws SQLException {
    if (times > 1) {
      try (Statement statement = connection.createStatement()) {
        statement.execute("drop index bench_words");
        statement.execute(
            "insert into bench_record select r.* from bench_record r, generate_series(2, "
                + times
                + ")");
        index(statement);
      }
    }
  }

  private static void index(Statement statement) throws SQLException {
    statement.execute("set maintenance_work_mem = '512MB'");
    statement.execute("create index bench_words on bench_record using gin (words)");
    statement.execute("vacuum analyze bench_record");
  }

  private void fill(Stream<IndexEntry> records) throws SQLException {
    try (PreparedStatement insert =
        connection.prepareStatement(
            "insert into bench_record values (?, to_tsvector('english', ?), ?, ?, ?, ?, ?, ?, ?)")) {
      for (Iterator<IndexEntry> entries = records.iterator(); entries.hasNext(); ) {
        IndexEntry entry = entries.next();
        set(insert, entry);
        insert.addBatch();
        if (entry.id() % BATCH == 0 || !entries.hasNext()) {
          insert.executeBatch();
        }
      }
    }
  }

  private void set(PreparedStatement insert, IndexEntry entry) throws SQLException {
    Publication p = entry.publication();
    insert.setInt(1, entry.id());
    insert.setString(2, text(p));
    insert.setInt(3, p.year().orElse(0));
    insert.setString(4, p.kind().word());
    insert.setString(5, p.host().title());
    insert.setString(6, p.language());
    insert.setString(7, p.studied().taxa().stream().findFirst().orElse(null));
    insert.setArray(8, array(p.keywords()));
    insert.setArray(9, array(p.authors().stream().map(PersonName::sorted).toList()));
  }

  private Array array(List<String> values) throws SQLException {
    return connection.createArrayOf("text", values.toArray());
  }

  private static String text(Publication publication) {
    return String.join(
        " . ",
        publication.title(),
        publication.abstractText(),
        String.join(" . ", publication.headings().stream().map(HeadingUse::label).toList()),
        String.join(" . ", publication.keywords()));
  }

  /** Exact count, with the first 1,000 ids by rank read as well, and the breakdowns wanted. */
  int search(Question question) {
    String from =
        " from bench_record, to_tsquery('english', ?) q where words @@ q" + question.where();
    try {
      int count =
          rows(
              "select count(*) over ()" + from + " order by ts_rank(words, q) desc, id limit 1000",
              question.tsquery());
      for (String grouped : GROUPED.subList(0, question.breakdowns())) {
        rows(
            "select count(*), " + grouped + from + " group by 2 order by 1 desc limit 50",
            question.tsquery());
      }
      return count;
    } catch (SQLException failed) {
      throw new IllegalStateException(failed);
    }
  }

  /** Reads all rows; answers the first number of the last. */
  private int rows(String sql, String tsquery) throws SQLException {
    try (PreparedStatement select = connection.prepareStatement(sql)) {
      select.setString(1, tsquery);
      int count = 0;
      try (ResultSet rows = select.executeQuery()) {
        while (rows.next()) {
          count = rows.getInt(1);
        }
      }
      return count;
    }
  }

  @Override
  public void close() throws SQLException {
    try (Statement statement = connection.createStatement()) {
      statement.execute("drop table bench_record");
    }
    connection.close();
  }
}
