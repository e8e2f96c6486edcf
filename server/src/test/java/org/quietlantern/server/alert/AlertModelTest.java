package org.quietlantern.server.alert;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Base64;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.quietlantern.core.publication.SourceRecord;
import org.quietlantern.server.digest.Digests;
import org.quietlantern.server.mail.MailJob;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.DyingCheckpoint;
import org.quietlantern.server.support.Supply;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import org.springframework.jdbc.core.JdbcTemplate;

/**
 * Random days against an evaluator that knows the whole history and does nothing cleverly: after
 * each day what every alert has told, and as what, is equal.
 */
class AlertModelTest {
  @RegisterExtension private static final TestApp APP = TestApp.own();

  private static final int DAYS = 25;
  private static final int ALERTS = 4;
  private static final List<String> TOPICS = List.of("zorilla", "yapok", "xerus", "wambenger");

  /** Headings; whether the second is narrower than the first is for the vocabulary to say. */
  private static final List<String> HEADINGS = List.of("glow", "shimmer");

  private static final List<String> PLACES =
      List.of(
          "alert: locked",
          "alert: announced, not remembered",
          "alert: remembered, not committed",
          "comparison: begun",
          "comparison: taken, not committed",
          "round: closed, next not opened",
          "round: closed, not committed",
          "digest: begun",
          "digest: written, not committed",
          "mail: handed over, not noted");

  /** When a work appeared, as its source says; the days of the test are in November 2026. */
  private enum Dated {
    RECENTLY("2026-10-02", "published"),
    LONG_AGO("2014-05-01", "late"),
    NEVER("", "undated");

    private final String date;
    private final String newClass;

    Dated(String date, String newClass) {
      this.date = date;
      this.newClass = newClass;
    }
  }

  /** A work as the evaluator knows it. */
  private static final class Work {
    private final String key;
    private Dated dated;
    private int publication;

    /** By which it is known outside. */
    private String number;

    private Set<String> topics;

    /** The source that decides what is known of it, and how it is called there. */
    private Supply home;

    private String identifier;

    private Work whole = this;

    /** What turned out to be the same. */
    private final Set<Work> parts = new HashSet<>();

    private boolean there = true;
    private boolean decided;

    /** As {@code retraction} or {@code correction}, in the order in which they were published. */
    private final List<String> notices = new ArrayList<>();

    private Work(String key, Dated dated, Set<String> topics, Supply home) {
      this.key = key;
      this.number = key;
      this.dated = dated;
      this.topics = topics;
      this.home = home;
      this.identifier = key;
    }
  }

  /** An alert: what it asks for, what it ever matched or passed over, what it still has to see. */
  private final class Watch {
    private final String id;
    private final String search;
    private Set<String> topics;
    private int revision = 1;
    private boolean paused;
    private final Set<Work> memory = new HashSet<>();
    private final Set<Work> arrivedSince = new HashSet<>();
    private final Set<Work> touchedSince = new HashSet<>();
    private final List<Noticed> noticedSince = new ArrayList<>();
    private final Map<String, String> told = new TreeMap<>();

    private Watch(String id, String search, Set<String> topics) {
      this.id = id;
      this.search = search;
      this.topics = topics;
    }

    private boolean finds(Work work) {
      return work.there
          && (work.topics.stream().anyMatch(topics::contains)
              || (narrower && topics.contains("glow") && work.topics.contains("shimmer")));
    }

    private boolean knows(Work work) {
      return memory.contains(work) || work.parts.stream().anyMatch(this::knows);
    }

    /** Whether it is new; known from then on. */
    private boolean learns(Work work) {
      boolean isNew = !knows(work);
      memory.add(work);
      return isNew;
    }

    private void run() {
      if (paused) {
        return;
      }
      for (Noticed notice : noticedSince) {
        if (knows(notice.work()) && notice.work().decided) {
          String key = notice.work().key + " " + notice.kind() + " ";
          long before = told.keySet().stream().filter(one -> one.startsWith(key)).count();
          told.put(key + (before + 1), notice.kind());
        }
      }
      for (Work work : touchedSince) {
        if (finds(work) && learns(work)) {
          told.put(work.key, arrivedSince.contains(work) ? work.dated.newClass : "now matching");
        }
      }
      // Held against everything: what a vocabulary widens goes quietly into memory.
      works.values().stream().filter(this::finds).forEach(memory::add);
      seen();
    }

    private void seen() {
      arrivedSince.clear();
      touchedSince.clear();
      noticedSince.clear();
    }
  }

  private record Noticed(Work work, String kind) {}

  private final Map<String, Work> works = new LinkedHashMap<>();
  private final List<Watch> watches = new ArrayList<>();
  private final TestGroup group = APP.group("Mona Model");
  private final Client mona = group.client(0);
  private final String tag = "m" + UUID.randomUUID().toString().substring(0, 8);
  private final Supply first = Supply.made(APP, tag + "a", 5);
  private final Supply second = Supply.made(APP, tag + "b", 6);
  private final List<String> history = new ArrayList<>();
  private Random random = new Random();
  private boolean narrower;

  private static String line(Set<String> topics, String tag) {
    return topics.stream()
        .map(
            topic ->
                HEADINGS.contains(topic)
                    ? "(heading/narrower: %s title: %s)".formatted(topic, tag)
                    : "(title: %s title: %s)".formatted(topic, tag))
        .collect(Collectors.joining(" or "));
  }

  private SourceRecord record(Work work, String identifier) {
    SourceRecord plain =
        Supply.mods(
            identifier,
            "%s of plot %s %s"
                .formatted(
                    tag,
                    work.number,
                    work.topics.stream()
                        .filter(topic -> !HEADINGS.contains(topic))
                        .collect(Collectors.joining(" "))),
            "Plot" + work.number,
            Supply.doi("10.5555/%s.%s".formatted(tag, work.number)));
    String issued = "<originInfo><dateIssued>2026-03-04</dateIssued></originInfo>";
    assertThat(plain.raw()).contains(issued);
    String raw =
        plain
            .raw()
            .replace(
                issued,
                work.dated.date.isEmpty() ? "" : issued.replace("2026-03-04", work.dated.date));
    return new SourceRecord(
        identifier,
        "mods",
        raw.replace("</mods>", subjects(work) + notices(work) + "</mods>"),
        "2026-11-20",
        !work.there);
  }

  private static String subjects(Work work) {
    return work.topics.stream()
        .filter(HEADINGS::contains)
        .map(
            heading ->
                "<subject authority=\"night-ecology\" valueURI=\"urn:x-model:%s\"><topic>%s</topic></subject>"
                    .formatted(heading, heading))
        .collect(Collectors.joining());
  }

  /** A vocabulary in which the one heading is narrower than the other, or is not. */
  private void vocabulary(boolean says) {
    narrower = says;
    String skos =
        """
        @prefix skos: <http://www.w3.org/2004/02/skos/core#> .
        @prefix x: <urn:x-model:> .
        x:glow skos:inScheme x:s ; skos:prefLabel "glow" .
        x:shimmer skos:inScheme x:s ; skos:prefLabel "shimmer" %s .
        """
            .formatted(says ? "; skos:broader x:glow" : "");
    String file = Base64.getEncoder().encodeToString(skos.getBytes(StandardCharsets.UTF_8));
    mona.write("PUT", "/vocabulary", Map.of("file", file), UUID.randomUUID()).ok();
  }

  private static String notices(Work work) {
    StringBuilder notices = new StringBuilder();
    for (int n = 0; n < work.notices.size(); n++) {
      notices.append(
          "<notice kind=\"%s\" date=\"2026-11-03\">10.5555/notice.%s.%d</notice>"
              .formatted(work.notices.get(n), work.number, n));
    }
    return "<extension><supply xmlns=\"urn:quietlantern:supply:1\">"
        + notices
        + "</supply></extension>";
  }

  private Set<String> someTopics() {
    Set<String> some =
        Stream.concat(TOPICS.stream(), HEADINGS.stream())
            .filter(topic -> random.nextInt(3) == 0)
            .collect(Collectors.toSet());
    return some.isEmpty() ? Set.of("nothing") : some;
  }

  private Set<String> topicsToWatch() {
    return Set.copyOf(
        IntStream.range(0, 1 + random.nextInt(2))
            .mapToObj(n -> random.nextInt(TOPICS.size() + 1))
            .map(n -> n == TOPICS.size() ? "glow" : TOPICS.get(n))
            .collect(Collectors.toSet()));
  }

  private Work anyWork() {
    List<Work> there = works.values().stream().filter(work -> work.there).toList();
    return there.isEmpty() ? null : there.get(random.nextInt(there.size()));
  }

  private void touched(Work work) {
    watches.forEach(watch -> watch.touchedSince.add(work));
  }

  private void act() {
    Work some = anyWork();
    Watch watch = watches.get(random.nextInt(watches.size()));
    switch (random.nextInt(some == null ? 1 : 15)) {
      case 0, 1, 2 -> comes();
      case 3 -> changes(some);
      case 4 -> goes(some);
      case 5 -> {
        if (some.home == first && others(some).isEmpty()) {
          history.add("also from another source: " + some.key);
          second.take(record(some, "other:" + some.key));
          touched(some);
        }
      }
      case 6 -> edited(watch);
      case 7 -> pausedOrResumed(watch);
      case 8, 9 -> decides(some);
      case 10, 11 -> isNoticed(some);
      case 12 -> turnOutToBeOne(some);
      case 13 -> {
        vocabulary(!narrower);
        history.add("shimmer is narrower than glow: " + narrower);
      }
      default -> runs();
    }
  }

  private void comes() {
    String key = "k" + works.size();
    Dated dated = Dated.values()[random.nextInt(Dated.values().length)];
    Work work = new Work(key, dated, someTopics(), random.nextInt(3) == 0 ? second : first);
    history.add("comes: " + key + " " + dated + " " + work.topics);
    works.put(key, work);
    supply(work);
    work.publication = publication(work.home, key);
    watches.forEach(watch -> watch.arrivedSince.add(work));
    touched(work);
  }

  private void supply(Work work) {
    work.home.take(record(work, work.identifier));
  }

  private static int publication(Supply source, String identifier) {
    return database()
        .queryForObject(
            "select coalesce(p.canonical, p.id) from source_record r"
                + " join publication p on p.id = r.publication"
                + " where r.source = ? and r.identifier = ?",
            Integer.class,
            source.id(),
            identifier);
  }

  private void changes(Work work) {
    work.topics = someTopics();
    history.add("changes: " + work.key + " " + work.topics);
    supply(work);
    touched(work);
  }

  /** What only the second source had is supplied as what the first has, too. */
  private void turnOutToBeOne(Work one) {
    Work other =
        works.values().stream()
            .filter(work -> work.there && work.home == second && work.notices.isEmpty())
            .findFirst()
            .orElse(null);
    if (other == null || one.home != first || !one.notices.isEmpty() || !others(one).isEmpty()) {
      return;
    }
    second.take(record(one, other.identifier));
    boolean stays = publication(first, one.identifier) == one.publication;
    Work whole = stays ? one : other;
    Work part = stays ? other : one;
    assertThat(publication(second, other.identifier)).isEqualTo(whole.publication);
    history.add("turn out to be one: " + whole.key + " and, in it, " + part.key);
    whole.topics = one.topics;
    whole.dated = one.dated;
    whole.number = one.number;
    whole.home = first;
    whole.identifier = one.identifier;
    whole.decided |= part.decided;
    whole.parts.add(part);
    part.whole = whole;
    part.there = false;
    touched(whole);
  }

  private void decides(Work work) {
    history.add("decided: " + work.key);
    String pid =
        database()
            .queryForObject(
                "select pid from publication where id = ?", String.class, work.publication);
    mona.post("/marks", Map.of("publications", List.of(pid), "mark", "pass", "reason", "")).ok();
    work.decided = true;
  }

  /** A work is retracted once, and corrected any number of times. */
  private void isNoticed(Work work) {
    boolean retracts = random.nextBoolean() && !work.notices.contains("retraction");
    String kind = retracts ? "retraction" : "correction";
    work.notices.add(kind);
    history.add(kind + " of " + work.key);
    supply(work);
    others(work).forEach(identifier -> second.take(record(work, identifier)));
    watches.forEach(
        watch -> watch.noticedSince.add(new Noticed(work, retracts ? "retracted" : "corrected")));
    touched(work);
  }

  /** How it is called by the second source where the first has it, too. */
  private List<String> others(Work work) {
    return work.home == second
        ? List.of()
        : database()
            .queryForList(
                "select r.identifier from source_record r join publication p"
                    + " on p.id = r.publication where r.source = ?"
                    + " and coalesce(p.canonical, p.id) = ?",
                String.class,
                second.id(),
                work.publication);
  }

  /** From the one source that has it; what another one has, too, stays. */
  private void goes(Work work) {
    if (!others(work).isEmpty()) {
      return;
    }
    history.add("goes: " + work.key);
    work.there = false;
    supply(work);
    touched(work);
  }

  private void edited(Watch watch) {
    Set<String> next = topicsToWatch();
    boolean announce = random.nextBoolean();
    if (next.equals(watch.topics)) {
      return;
    }
    history.add("edited: " + watch.id + " " + next + (announce ? " and told" : ""));
    Map<String, Object> body =
        Map.of(
            "asked",
            Map.of("text", line(next, tag)),
            "revision",
            watch.revision,
            "comment",
            "",
            "announce",
            announce);
    mona.post("/searches/" + watch.search + "/revisions", body).ok();
    watch.revision++;
    Set<Work> still = new HashSet<>(watch.arrivedSince);
    watch.touchedSince.stream().filter(watch::finds).forEach(still::add);
    watch.topics = next;
    for (Work work : works.values()) {
      if (watch.finds(work) && !still.contains(work) && watch.learns(work) && announce) {
        watch.told.put(work.key, "edited");
      }
    }
  }

  private void pausedOrResumed(Watch watch) {
    if (!watch.paused) {
      history.add("paused: " + watch.id);
      mona.post("/alerts/" + watch.id + "/pause", Map.of()).ok();
      watch.paused = true;
      return;
    }
    boolean gap = random.nextBoolean();
    history.add("goes on: " + watch.id + (gap ? " with" : " without") + " the gap");
    mona.post("/alerts/" + watch.id + "/resume", Map.of("gap", gap)).ok();
    watch.paused = false;
    if (!gap) {
      works.values().stream().filter(watch::finds).forEach(watch.memory::add);
      watch.seen();
    }
  }

  /** Everything that a server does by itself; one time in three it dies somewhere first. */
  private void runs() {
    if (random.nextInt(3) == 0) {
      String place = PLACES.get(random.nextInt(PLACES.size()));
      APP.bean(DyingCheckpoint.class).dieAt(place);
      try {
        jobs();
        history.add("runs, and does not come to: " + place);
      } catch (DyingCheckpoint.Death death) {
        history.add("dies: " + place);
      }
      APP.bean(DyingCheckpoint.class).dieAt("");
    }
    history.add("runs");
    jobs();
    watches.forEach(Watch::run);
  }

  private static void jobs() {
    APP.bean(Watching.class).run();
    APP.bean(ComparingAlerts.class).run();
    APP.bean(Digests.class).run();
    APP.bean(MailJob.class).run();
  }

  private static JdbcTemplate database() {
    return APP.bean(JdbcTemplate.class);
  }

  private List<String> expected(Watch watch) {
    return watch.told.entrySet().stream()
        .map(
            one -> {
              String[] parts = one.getKey().split(" ", 2);
              String occasion = parts.length > 1 ? " " + parts[1] : "";
              return named(works.get(parts[0])) + occasion + ": " + one.getValue();
            })
        .sorted()
        .toList();
  }

  /** By the work that it is now; what was told of parts before they were one stands beside it. */
  private static String named(Work work) {
    return work.whole == work ? work.key : named(work.whole);
  }

  /** Occasions and classes, as the tables have them. */
  private List<String> told(Watch watch) {
    Map<Object, String> names =
        works.values().stream()
            .collect(Collectors.toMap(work -> work.publication, AlertModelTest::named));
    return database()
        .queryForList(
            "select o.publication, case when o.kind = 'first coming' then '' else ' '"
                + " || o.kind || ' ' || dense_rank() over (partition by a.id, o.publication, o.kind"
                + " order by nullif(o.key, '')::bigint) end as occasion, n.class"
                + " from finding n join alert a on a.id = n.alert join arrival v on v.id = n.arrival"
                + " join occasion o on o.id = v.occasion where a.pid = ?",
            watch.id)
        .stream()
        .map(
            row ->
                names.get(row.get("publication")) + row.get("occasion") + ": " + row.get("class"))
        .sorted()
        .toList();
  }

  @DisplayName(
      "Supplies, changes, joinings, notices, headings, edits, pauses, deaths: told as ruled")
  @ParameterizedTest
  @ValueSource(longs = {1, 2, 4, 5, 6})
  void randomDays(long seed) {
    random = new Random(seed);
    APP.makeSteward(group.member(0));
    vocabulary(false);
    String folder = group.folder("F");
    for (int n = 0; n < ALERTS; n++) {
      Set<String> topics = topicsToWatch();
      String search = group.search(folder, "Model " + n, line(topics, tag)).get("id").asString();
      String rhythm = n % 2 == 0 ? "at-once" : "daily";
      String id =
          mona.post("/alerts", Map.of("search", search, "rhythm", rhythm))
              .ok()
              .get("id")
              .asString();
      watches.add(new Watch(id, search, topics));
    }
    for (int day = 0; day < DAYS; day++) {
      APP.setClock(APP.bean(Calendar.class).now().plus(Duration.ofDays(1)));
      history.add("day " + day);
      IntStream.rangeClosed(0, 6 + random.nextInt(4)).forEach(n -> act());
      runs();
      for (Watch watch : watches) {
        assertThat(told(watch))
            .as("seed %d, %s: %s", seed, watch.id, String.join("; ", history))
            .isEqualTo(expected(watch));
      }
    }
    Set<String> classes = new TreeSet<>();
    watches.forEach(watch -> classes.addAll(watch.told.values()));
    assertThat(classes)
        .as("the days had something of each")
        .contains("published", "late", "undated", "now matching", "retracted", "corrected");
    assertThat(
            database()
                .queryForObject(
                    "select count(*) from memory_difference d join alert a on a.id = d.alert"
                        + " join grp g on g.id = a.grp where d.missed and g.pid = ?",
                    Integer.class,
                    group.pid()))
        .as("nothing was missed")
        .isZero();
  }
}
