package org.quietlantern.bench;

import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.ScheduledFuture;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;

/**
 * What a large group waits for: a folder of many publications among two hundred folders, thirty
 * members, a hundred thousand acts; and what fifty open pages that look for news cost. Each beside
 * the same with a folder of twenty. Arguments: a folder; how many publications (20,000).
 */
public final class FolderBench {
  private static final int FEW = 20;
  private static final int FOLDERS = 200;
  private static final int MEMBERS = 30;
  private static final int ACTS = 100_000;
  private static final int PAGES = 50;
  private static final int LOOK_EVERY = 4;
  private static final int LOOK_FOR = 40;

  private final Serving serving;
  private final int many;
  private Visit visit;

  private FolderBench(Path place, int many) throws Exception {
    this.serving = new Serving(place);
    this.many = many;
  }

  public static void main(String[] arguments) throws Exception {
    int many = arguments.length > 1 ? Integer.parseInt(arguments[1]) : 20_000;
    Path place = Path.of(arguments[0]);
    new FolderBench(place, many).run(place);
  }

  private void run(Path place) throws Exception {
    serving.start();
    visit = serving.enter();
    serving.load(RecordsFile.write(place.resolve("records.xml"), many));
    Serving.caughtUp(visit);
    String few = folder("A few");
    String all = folder("A lot");
    fill(few, all);
    System.out.printf(
        Locale.ENGLISH,
        "%n| milliseconds (95 %%) | %d | %,d | times |%n|---|---|---|---|%n",
        FEW,
        many);
    compare("folder opened: all ids, first rows", "/folders/%s", few, all);
    compare("in order of title", "/folders/%s?folder-order=title", few, all);
    compare("in order of who kept it", "/folders/%s?folder-order=who", few, all);
    compare("its activity", "/activity?of=folder:%s", few, all);
    System.out.printf("%n| milliseconds (95 %%) | |%n|---|---|%n");
    once("list of %d folders".formatted(FOLDERS + 2), "/folders");
    once("Today", "/today");
    once("Today: what the others did", "/today/done");
    once("activity of the group", "/activity");
    once("a page looks for news, nothing new", "/changes?since=" + latest());
    once("a page looks for news, there is", "/changes?since=" + (Long.parseLong(latest()) - 1));
    long began = System.nanoTime();
    visit.inGroup(
        "POST",
        "/folders/" + all + "/export",
        "{\"format\":\"ris\",\"with\":[\"abstract\",\"keywords\",\"link\",\"reasons\"]}");
    System.out.printf(
        Locale.ENGLISH,
        "| all of %,d as RIS, once | %.0f |%n",
        many,
        (System.nanoTime() - began) / 1e6);
    moves(all, few);
    looking();
    serving.stop();
  }

  private String folder(String name) {
    return Visit.found(
        "\"id\":\"(\\w{10})\"", visit.inGroup("POST", "/folders", "{\"name\":\"" + name + "\"}"));
  }

  private String latest() {
    return Visit.found("\"latest\":(\\d+)", visit.inGroup("GET", "/changes?since=0", ""));
  }

  /** By the database: commands of so many days would take as many. */
  private void fill(String few, String all) throws Exception {
    try (Connection connection =
            DriverManager.getConnection(serving.database(), "app", serving.databasePassword());
        Statement statement = connection.createStatement()) {
      for (String sql :
          List.of(
              """
              insert into account (email, password_hash, zone)
              select 'm' || n || '@house.example', '-', 'Europe/Oslo' from generate_series(2, %d) n
              """
                  .formatted(MEMBERS),
              """
              insert into membership (pid, grp, account, role, name, letters, joined)
              select 'bench' || a.id, (select min(id) from grp), a.id, 'member', 'Member ' || a.id,
                'M' || a.id, now() from account a where a.email like 'm%@house.example'
              """,
              """
              insert into folder (pid, grp, name, at, parent)
              select 'bf' || n, (select min(id) from grp), 'Folder ' || n, now(), null
              from generate_series(1, %d) n
              """
                  .formatted(FOLDERS),
              """
              update folder set parent = (select id from folder where pid = 'bf' || (f.n / 10))
              from (select id, substring(pid from 3)::int as n from folder
                where pid like 'bf%') f where f.id = folder.id and f.n >= 20
              """,
              """
              insert into item (folder, publication, at)
              select f.id, p.id, now() - p.id * interval '1 minute'
              from folder f, (select id from publication where canonical is null order by id
                limit %d) p
              where f.pid = '%s'
              """
                  .formatted(many, all),
              """
              insert into item (folder, publication, at)
              select f.id, p.id, now() from folder f, lateral (select id from publication
                where canonical is null order by md5(id::text || f.id) limit %d) p
              where f.pid = '%s' or f.pid like 'bf%%'
              """
                  .formatted(FEW, few),
              """
              insert into item_reason (item, membership, text, at)
              select i.id, m.id, 'for the review', i.at from item i
              join lateral (select id from membership order by md5(id::text || i.id) limit 1) m
                on true
              """,
              """
              insert into action (command, grp, membership, what, changes, about, visible_to, before,
                answer, at)
              select gen_random_uuid(), m.grp, m.id, 'item.keep', '{}',
                array['folder:' || case when n %% 3 = 0 then '%s' else 'bf' || (n %% %d + 1) end],
                'group', '{}', '{}', now() - n * interval '20 seconds'
              from generate_series(1, %d) n
              join lateral (select id, grp from membership order by md5(id::text || n) limit 1) m
                on true
              """
                  .formatted(all, FOLDERS, ACTS),
              "analyze")) {
        statement.execute(sql);
      }
      System.out.printf(
          Locale.ENGLISH,
          "%,d items in %,d folders, %,d acts of %d members%n",
          number(statement, "select count(*) from item"),
          number(statement, "select count(*) from folder"),
          number(statement, "select count(*) from action"),
          number(statement, "select count(*) from membership"));
    }
  }

  private static int number(Statement statement, String sql) throws SQLException {
    try (ResultSet found = statement.executeQuery(sql)) {
      found.next();
      return found.getInt(1);
    }
  }

  private void compare(String what, String path, String few, String all) {
    Times small = Times.of(() -> visit.inGroup("GET", path.formatted(few), ""));
    Times large = Times.of(() -> visit.inGroup("GET", path.formatted(all), ""));
    System.out.printf(
        Locale.ENGLISH, "| %s | %s | %s | %.1f |%n", what, small, large, small.timesLonger(large));
  }

  private void once(String what, String path) {
    System.out.printf("| %s | %s |%n", what, Times.of(() -> visit.inGroup("GET", path, "")));
  }

  /**
   * Five hundred from the one into the other as one act; then all the rest, the folders as a whole.
   */
  private void moves(String all, String few) {
    List<String> ids = new ArrayList<>();
    String text = visit.inGroup("GET", "/folders/" + all, "");
    String listed = text.substring(text.indexOf("\"ids\":["));
    java.util.regex.Matcher each = java.util.regex.Pattern.compile("\"(\\w{10})\"").matcher(listed);
    while (ids.size() < 500 && each.find()) {
      ids.add('"' + each.group(1) + '"');
    }
    String body = "{\"publications\":[" + String.join(",", ids) + "],\"to\":\"%s\"}";
    long began = System.nanoTime();
    visit.inGroup("POST", "/folders/" + all + "/items/moved", body.formatted(few));
    double there = (System.nanoTime() - began) / 1e6;
    began = System.nanoTime();
    visit.inGroup("POST", "/folders/" + all + "/merged", "{\"to\":\"" + few + "\"}");
    double whole = (System.nanoTime() - began) / 1e6;
    System.out.printf(Locale.ENGLISH, "| %d moved as one act | %.0f |%n", ids.size(), there);
    System.out.printf(Locale.ENGLISH, "| all the rest, put into another | %.0f |%n", whole);
  }

  /** What open pages cost that look every few seconds while nothing happens. */
  private void looking() throws Exception {
    String path = "/changes?since=" + latest();
    ScheduledExecutorService pages = Executors.newScheduledThreadPool(4);
    AtomicInteger looks = new AtomicInteger();
    // As a server is that runs since a while: what it does often is compiled.
    for (int n = 0; n < 3_000; n++) {
      visit.inGroup("GET", path, "");
    }
    double idle = used();
    List<ScheduledFuture<?>> open = new ArrayList<>();
    for (int n = 0; n < PAGES; n++) {
      Visit page = visit;
      open.add(
          pages.scheduleAtFixedRate(
              () -> {
                page.inGroup("GET", path, "");
                looks.incrementAndGet();
              },
              n * 1000L * LOOK_EVERY / PAGES,
              1000L * LOOK_EVERY,
              TimeUnit.MILLISECONDS));
    }
    double used = used();
    open.forEach(page -> page.cancel(false));
    pages.shutdownNow();
    System.out.printf(
        Locale.ENGLISH,
        "| %d pages look every %d s (%d looks), of one core; without them | %.1f %%; %.1f %% |%n",
        PAGES,
        LOOK_EVERY,
        looks.get(),
        used * 100 / LOOK_FOR,
        idle * 100 / LOOK_FOR);
  }

  /** Seconds of processors that server and database use from now on, as long as pages look. */
  private double used() throws Exception {
    double before = serving.processor();
    Thread.sleep(1000L * LOOK_FOR);
    return serving.processor() - before;
  }
}
