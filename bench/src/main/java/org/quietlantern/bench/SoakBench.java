package org.quietlantern.bench;

import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.regex.Pattern;

/**
 * Fifty members at work for an hour while days pass, sources are harvested, alerts run and the
 * server is killed; then everything that they were answered is looked for in the database.
 * Arguments: the data folder of a demo that runs, the password of its members, minutes.
 */
public final class SoakBench {
  private static final int MEMBERS = 50;
  private static final int DAYS = 80;
  private static final List<String> WATCHED =
      List.of(
          "moth*", "bat* or owl*", "lamp* and verges", "dimm*", "pollinat*", "river* or stream*");

  /** When the server is killed, in parts of the whole; between them memory is looked at. */
  private static final List<Double> KILLS = List.of(0.08, 0.16, 0.24, 0.32, 0.40, 0.84, 0.92);

  private static final double CALM_FROM = 0.45;
  private static final double CALM_TO = 0.82;

  /** The heap may grow by so much while the catalogue grows, too. */
  private static final double MOST_GROWTH = 1.15;

  private static final Pattern ID = Pattern.compile("\"(\\w{10})\"");
  private final Installation place;
  private final String password;
  private final double seconds;
  private final SoakTold told = new SoakTold();
  private final AtomicBoolean goesOn = new AtomicBoolean(true);
  private final List<Double> heaps = new ArrayList<>();
  private final List<String> troubles = new ArrayList<>();
  private int days;
  private int kills;

  private SoakBench(String[] arguments) {
    this.place = new Installation(Path.of(arguments[0]));
    this.password = arguments[1];
    this.seconds = Double.parseDouble(arguments[2]) * 60;
  }

  public static void main(String[] arguments) throws Exception {
    System.exit(new SoakBench(arguments).soak() ? 0 : 1);
  }

  private boolean soak() throws SQLException, InterruptedException {
    try (Connection database =
        DriverManager.getConnection(place.database(), "app", place.password())) {
      List<SoakMember> members = members(database);
      List<String> alerts = watch(members.get(0));
      ExecutorService all = Executors.newFixedThreadPool(MEMBERS + 1);
      members.forEach(all::execute);
      all.execute(this::letDaysPass);
      wear();
      goesOn.set(false);
      all.shutdown();
      if (!all.awaitTermination(10, TimeUnit.MINUTES)) {
        troubles.add("somebody still waits for an answer");
      }
      new Visit(place.address())
          .signIn(email(0), password)
          .send("POST", "/api/demo/days", "{\"days\":1}");
      return report(check(database, members, alerts));
    }
  }

  /** People who are put into the demo's first group, with the password of the others. */
  private List<SoakMember> members(Connection database) throws SQLException {
    List<SoakMember> members = new ArrayList<>();
    try (Statement statement = database.createStatement()) {
      for (int n = 0; n < MEMBERS; n++) {
        statement.execute(
            """
            insert into account (email, password_hash, zone)
            select '%1$s', password_hash, zone from account order by id limit 1
            on conflict do nothing
            """
                .formatted(email(n)));
        statement.execute(
            """
            insert into membership (pid, grp, account, role, name, letters, joined)
            select 'soakmemb%2$s', (select min(id) from grp), id, 'member', 'Soak %2$s', '%2$s', now()
            from account where email = '%1$s' on conflict do nothing
            """
                .formatted(email(n), "%02d".formatted(n)));
      }
    }
    for (int n = 0; n < MEMBERS; n++) {
      Visit visit = new Visit(place.address()).signIn(email(n), password);
      members.add(new SoakMember(email(n), visit, told, goesOn));
    }
    return members;
  }

  private static String email(int n) {
    return "soak%02d@ternhollow.example".formatted(n);
  }

  /** Sets an alert for each of the watched words. */
  private List<String> watch(SoakMember member) {
    Visit visit = new Visit(place.address()).signIn(member.email(), password);
    String salt = Long.toString(System.nanoTime(), 36);
    String folder = id(visit.inGroup("POST", "/folders", "{\"name\":\"Soak %s\"}".formatted(salt)));
    List<String> alerts = new ArrayList<>();
    for (String words : WATCHED) {
      String search =
          id(
              visit.inGroup(
                  "POST",
                  "/folders/" + folder + "/searches",
                  "{\"name\":\"%s\",\"asked\":{\"text\":\"%s\"}}".formatted(words, year(words))));
      alerts.add(
          id(
              visit.inGroup(
                  "POST",
                  "/alerts",
                  "{\"search\":\"%s\",\"rhythm\":\"daily\"}".formatted(search))));
    }
    return alerts;
  }

  /** So few that one answer holds them all. */
  private static String year(String words) {
    return "(" + words + ") and year: 2026-";
  }

  private static String id(String made) {
    return Visit.found("\"id\":\"(\\w{10})\"", made);
  }

  private void letDaysPass() {
    Visit ilse = new Visit(place.address()).signIn("ilse@ternhollow.example", password);
    while (goesOn.get()) {
      try {
        if (ilse.ask("POST", "/api/demo/days", "{\"days\":1}").statusCode() < 400) {
          days++;
        }
      } catch (IllegalStateException away) {
        told.away();
      }
      sleep(seconds / DAYS);
    }
  }

  /** Kills, and looks at memory in between. */
  private void wear() {
    long start = System.nanoTime();
    int next = 0;
    double part = 0;
    while (part < 1) {
      if (next < KILLS.size() && part >= KILLS.get(next)) {
        place.kill();
        kills++;
        next++;
      } else if (part > CALM_FROM && part < CALM_TO) {
        heaps.add(place.heap());
      }
      sleep(seconds / 60);
      part = (System.nanoTime() - start) / 1e9 / seconds;
    }
  }

  private List<String> check(Connection database, List<SoakMember> members, List<String> alerts)
      throws SQLException {
    SoakChecks checks = new SoakChecks(database);
    int compared = 0;
    for (SoakMember member : members) {
      compared += checks.member(member);
    }
    Visit visit = new Visit(place.address()).signIn(email(0), password);
    int watched = 0;
    for (int n = 0; n < alerts.size(); n++) {
      String answer =
          visit.inGroup("POST", "/search", "{\"text\":\"%s\"}".formatted(year(WATCHED.get(n))));
      String ids = Visit.found("\"ids\":\\[([^]]*)\\]", answer);
      List<String> found = ID.matcher(ids).results().map(id -> id.group(1)).toList();
      checks.expect("all ids in one answer", found.size(), count(answer));
      watched += checks.alert(alerts.get(n), found);
    }
    String all = visit.inGroup("POST", "/search", "{\"text\":\"not xylophones\"}");
    checks.expect(
        "the index against the database",
        count(all),
        checks.number(
            "select count(*) from (select 1 from publication where canonical is null"
                + " and withdrawn is null) p"));
    checks.expect(
        "announced twice",
        checks.number(
            "select count(*) from (select 1 from finding f join arrival r on r.id = f.arrival"
                + " join occasion o on o.id = r.occasion where o.kind = 'first coming'"
                + " group by f.alert, o.publication having count(*) > 1) twice"),
        0);
    checks.expect(
        "differences found at night",
        checks.number("select coalesce(sum(differences), 0) from nightly_check"),
        0);
    System.out.printf(
        "%d marks and keeps and %d publications of %d alerts compared%n",
        compared, watched, alerts.size());
    return checks.differences();
  }

  private static long count(String answer) {
    return Long.parseLong(Visit.found("\"count\":(\\d+)", answer));
  }

  private boolean report(List<String> differences) {
    System.out.printf("%d days passed, %d kills, answers %s%n", days, kills, told.statuses());
    System.out.printf("searches: %s ms%n", told.searches());
    int third = Math.max(1, heaps.size() / 3);
    double before = median(heaps.subList(0, third));
    double after = median(heaps.subList(heaps.size() - third, heaps.size()));
    System.out.printf(
        Locale.ENGLISH,
        "heap in use: %.0f MiB in the first third of the calm, %.0f in the last (%.2f times)%n",
        before,
        after,
        after / before);
    if (after > before * MOST_GROWTH) {
      troubles.add("memory grows: " + heaps);
    }
    troubles.addAll(differences);
    troubles.addAll(told.failures());
    place.complaints().forEach(line -> troubles.add("log: " + line));
    System.out.println(troubles.isEmpty() ? "all held" : "NOT HELD:");
    troubles.forEach(System.out::println);
    return troubles.isEmpty();
  }

  private static double median(List<Double> of) {
    List<Double> sorted = new ArrayList<>(of);
    sorted.sort(null);
    return sorted.get(sorted.size() / 2);
  }

  private static void sleep(double seconds) {
    try {
      Thread.sleep((long) (seconds * 1000));
    } catch (InterruptedException stopped) {
      Thread.currentThread().interrupt();
    }
  }
}
