package org.quietlantern.bench;

import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import java.util.function.BooleanSupplier;
import org.quietlantern.core.search.CatalogueIndex;
import org.quietlantern.core.search.IndexEntry;
import org.quietlantern.core.search.Snapshot;
import org.quietlantern.core.watch.Memory;
import org.quietlantern.standins.mail.MailDrop;

/**
 * What alerts cost a server: compared whole, run over what came, told by mail and feed. Groups,
 * members and what they watch are put into the database, with the memory that core works out.
 */
final class AlertsServed {
  private static final int GROUPS = 50;
  private static final int MEMBERS = 5_000;

  /** Alerts that each member gets letters of. */
  private static final int RECEIVED = 4;

  private final Path place;
  private final Serving serving;
  private final MailDrop mail = new MailDrop(0);

  AlertsServed(Path place) throws Exception {
    this.place = place;
    this.serving =
        new Serving(
            place, List.of("mail-server = 127.0.0.1:" + mail.port(), "mail-security = none"));
  }

  void measure(int records, int searches, int came) throws Exception {
    serving.start();
    Visit visit = serving.enter();
    serving.load(RecordsFile.write(place.resolve("records.xml"), 0, records));
    Serving.caughtUp(visit);
    serving.stop();
    // The database is the installation's own and ends with it.
    serving.start();
    List<IndexEntry> some = Records.of(Math.min(records, 2_000)).toList();
    List<WatchedSearch> watched = WatchedSearch.of(searches, some);
    try (Connection connection = connection()) {
      connection.setAutoCommit(false);
      watch(connection, watched);
      connection.commit();
      connection.setAutoCommit(true);
      run(connection, visit, records, searches, came);
    } finally {
      serving.stop();
      mail.close();
    }
  }

  private Connection connection() throws Exception {
    return DriverManager.getConnection(serving.database(), "app", serving.databasePassword());
  }

  private void run(Connection connection, Visit visit, int records, int searches, int came)
      throws Exception {
    print(
        "%n| %,d alerts on %,d records, a server of its own | s |%n|---|---|%n", searches, records);
    timed(
        "each compared whole with what it remembers",
        () -> number(connection, "select count(*) from alert where compared = ''") == 0);
    print(
        "| … differences found (ought to be none) | %d |%n",
        number(connection, "select count(*) from memory_difference"));
    serving.load(RecordsFile.write(place.resolve("more.xml"), records, came));
    long latest = number(connection, "select max(no) from publication_change");
    timed(
        "%,d records came: until all have run".formatted(came),
        () -> number(connection, "select count(*) from alert where number < " + latest) == 0);
    print(
        "| … arrivals, findings, of how many alerts | %,d, %,d, %,d |%n",
        number(connection, "select count(*) from arrival"),
        number(connection, "select count(*) from finding"),
        number(connection, "select count(distinct alert) from finding"));
    letters(connection);
    feed(visit);
    print("| heap used, MB | %.0f |%n", serving.heap());
  }

  private void letters(Connection connection) throws Exception {
    execute(connection, "update round set closed = now() where found");
    execute(
        connection,
        "update membership set digest_due = now(), rounds_from = now() - interval '1 day'");
    timed(
        "%,d digests composed".formatted(MEMBERS),
        () -> number(connection, "select count(*) from membership where digest_due <= now()") == 0);
    timed(
        "… and handed over",
        () -> number(connection, "select count(*) from outbox where sent is null") == 0);
    print(
        "| … letters, arrivals told | %,d, %,d |%n",
        number(connection, "select count(*) from outbox where sent is not null"),
        number(connection, "select count(*) from digest_item"));
  }

  private void feed(Visit visit) throws Exception {
    String answer = visit.inGroup("POST", "/feeds", "{\"of\":\"alerts\"}");
    String path = Visit.found("\"(?:address|atom|url)\":\"([^\"]+)\"", answer);
    URI address = URI.create(path.startsWith("http") ? path : Serving.address() + path);
    HttpClient client = HttpClient.newHttpClient();
    HttpResponse<String> first =
        client.send(HttpRequest.newBuilder(address).build(), HttpResponse.BodyHandlers.ofString());
    String tag = first.headers().firstValue("ETag").orElseThrow();
    Times whole = Times.of(() -> get(client, address, "", 200));
    Times same = Times.of(() -> get(client, address, tag, 304));
    print(
        "| a feed of %d entries: 200, 304, milliseconds (95 %%) | %s, %s |%n",
        first.body().split("<entry", -1).length - 1, whole, same);
  }

  private static void get(HttpClient client, URI address, String tag, int expected) {
    try {
      HttpRequest.Builder request = HttpRequest.newBuilder(address);
      if (!tag.isEmpty()) {
        request.header("If-None-Match", tag);
      }
      int status = client.send(request.build(), HttpResponse.BodyHandlers.ofString()).statusCode();
      if (status != expected) {
        throw new IllegalStateException("answered " + status);
      }
    } catch (java.io.IOException failed) {
      throw new IllegalStateException(failed);
    } catch (InterruptedException stopped) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(stopped);
    }
  }

  private void watch(Connection connection, List<WatchedSearch> watched) throws Exception {
    for (String sql :
        List.of(
            """
            insert into grp (pid, name, zone)
            select 'bg' || n, 'Group ' || n, 'Europe/Oslo' from generate_series(2, %d) n
            """
                .formatted(GROUPS),
            """
            insert into account (email, password_hash, zone)
            select 'm' || n || '@house.example', '-', 'Europe/Oslo' from generate_series(1, %d) n
            """
                .formatted(MEMBERS),
            """
            insert into membership (pid, grp, account, role, name, letters, joined, digest_due)
            select 'bm' || a.id, g.id, a.id, 'member', 'Member ' || a.id, 'M' || a.id,
              now() - interval '10 days', now() + interval '1 day'
            from account a join (select id, row_number() over (order by id) - 1 as n from grp) g
              on g.n = a.id % (select count(*) from grp)
            where a.email like 'm%@house.example'
            """,
            """
            insert into folder (pid, grp, name, at) select 'bf' || id, id, 'Kept', now() from grp
            """)) {
      execute(connection, sql);
    }
    // Read by core from a copy of the server's own index.
    Path copy = place.resolve("copy");
    copyIndex(copy);
    try (CatalogueIndex index = CatalogueIndex.open(copy, installation(connection));
        Snapshot snapshot = index.snapshot()) {
      alerts(connection, snapshot, watched);
    }
  }

  private void copyIndex(Path copy) throws java.io.IOException {
    java.nio.file.Files.createDirectories(copy);
    try (var files = java.nio.file.Files.list(place.resolve("data/index"))) {
      for (Path file : files.filter(f -> !f.endsWith("write.lock")).toList()) {
        if (java.nio.file.Files.isRegularFile(file)) {
          java.nio.file.Files.copy(file, copy.resolve(file.getFileName()));
        }
      }
    }
  }

  private static String installation(Connection connection) throws SQLException {
    try (Statement statement = connection.createStatement();
        ResultSet row = statement.executeQuery("select id::text from installation")) {
      row.next();
      return row.getString(1);
    }
  }

  private static void alerts(Connection connection, Snapshot snapshot, List<WatchedSearch> watched)
      throws SQLException {
    String sql =
        """
        with s as (insert into saved_search (pid, folder, name, at)
            select 'bs' || n, f.id, 'Search ' || n, now() from (select ?::int as n) i, folder f
            where f.pid = 'bf' || (select id from grp order by id offset ? limit 1) returning id, folder),
          v as (insert into revision (saved_search, n, strategy, count, as_of, membership, at)
            select s.id, 1, ?::jsonb, ?, '', (select min(id) from membership), now() from s
            returning id),
          a as (insert into alert (pid, grp, revision, folder, rhythm, hour, state, number, memory,
              membership, at, ran, for_all)
            select 'ba' || ?, f.grp, v.id, f.id, 'weekly:MONDAY', '05:00', 'watching', ?, ?,
              (select min(id) from membership), now(), now(), false
            from v, s join folder f on f.id = s.folder returning id)
        insert into round (pid, alert, n, opens, closes)
        select 'br' || ?, a.id, 1, now(), now() + interval '7 days' from a
        """;
    try (PreparedStatement insert = connection.prepareStatement(sql)) {
      for (int n = 0; n < watched.size(); n++) {
        WatchedSearch search = watched.get(n);
        var found = snapshot.all(AlertWays.compiled(snapshot, search));
        insert.setInt(1, n);
        insert.setInt(2, n % GROUPS);
        insert.setString(3, search.json());
        insert.setInt(4, found.getCardinality());
        insert.setInt(5, n);
        insert.setLong(6, snapshot.number());
        insert.setBytes(7, Memory.of(found).bytes());
        insert.setInt(8, n);
        insert.addBatch();
        if (n % 500 == 499 || n == watched.size() - 1) {
          insert.executeBatch();
        }
      }
    }
    execute(
        connection,
        """
        insert into alert_receiver (alert, membership, receives)
        select a.id, m.id, true from membership m
        join lateral (select id from alert where grp = m.grp order by md5(id::text || m.id) limit %d) a
          on true
        """
            .formatted(RECEIVED));
    // The one whose feed is read gets all of their group.
    execute(
        connection,
        """
        insert into alert_receiver (alert, membership, receives)
        select a.id, m.id, true from alert a join membership m on m.grp = a.grp
        where m.id = (select min(id) from membership)
        on conflict do nothing
        """);
  }

  private static void timed(String what, BooleanSupplier done) {
    long began = System.nanoTime();
    while (!done.getAsBoolean()) {
      LockSupport.parkNanos(TimeUnit.MILLISECONDS.toNanos(50));
    }
    print("| %s | %.1f |%n", what, (System.nanoTime() - began) / 1e9);
  }

  private static void execute(Connection connection, String sql) throws SQLException {
    try (Statement statement = connection.createStatement()) {
      statement.execute(sql);
    }
  }

  private static long number(Connection connection, String sql) {
    try (Statement statement = connection.createStatement();
        ResultSet row = statement.executeQuery(sql)) {
      row.next();
      return row.getLong(1);
    } catch (SQLException failed) {
      throw new IllegalStateException(failed);
    }
  }

  private static void print(String format, Object... values) {
    System.out.printf(Locale.ENGLISH, format, values);
  }
}
