package org.quietlantern.server.alert;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Base64;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
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
import org.quietlantern.server.alert.AlertModel.Dated;
import org.quietlantern.server.alert.AlertModel.Noticed;
import org.quietlantern.server.alert.AlertModel.Watch;
import org.quietlantern.server.alert.AlertModel.Work;
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
  private static final List<Dated> DATES = List.of(Dated.values());
  private static final List<String> TOPICS = List.of("zorilla", "yapok", "xerus", "wambenger");

  /** Headings; whether the second is narrower than the first is for the vocabulary to say. */
  private static final List<String> HEADINGS = List.of("glow", "shimmer");

  /** A journal that the group holds, or does not. */
  private static final String JOURNAL =
      "<relatedItem type=\"host\"><titleInfo><title>Moths</title></titleInfo>"
          + "<identifier type=\"issn\">9999-1004</identifier></relatedItem>";

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

  private final AlertModel model = new AlertModel();
  private final Map<String, Work> works = model.works;
  private final List<Watch> watches = new ArrayList<>();
  private final TestGroup group = APP.group("Mona Model");
  private final Client mona = group.client(0);
  private final String tag = "m" + UUID.randomUUID().toString().substring(0, 8);
  private final Supply first = Supply.made(APP, tag + "a", 5);
  private final Supply second = Supply.made(APP, tag + "b", 6);
  private final List<String> history = new ArrayList<>();
  private Random random = new Random();

  private static String line(Set<String> topics, String tag) {
    return topics.stream()
        .map(
            topic ->
                HEADINGS.contains(topic)
                    ? "(heading/narrower: %s title: %s)".formatted(topic, tag)
                    : "(title: %s title: %s)".formatted(topic, tag))
        .collect(Collectors.joining(" or "));
  }

  private Map<String, Object> asked(Set<String> topics, boolean ours) {
    Map<String, Object> words = Map.of("id", "a", "kind", "words", "text", line(topics, tag));
    Map<String, Object> limit =
        Map.of(
            "id", "b", "kind", "limit", "property", "access", "chosen", List.of("yours to read"));
    List<Object> lines = ours ? List.of(words, limit) : List.of(words);
    return Map.of("strategy", Map.of("version", 2, "lines", lines));
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
            Supply.doi("10.5555/%s.%s".formatted(tag, work.number))
                + (work.onShelf ? JOURNAL : ""));
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
    model.narrower = says;
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

  /** What the group holds: the journal, or nothing. */
  private void holdings(boolean held) {
    model.held = held;
    String file =
        """
        publication_title\tonline_identifier\tdate_first_issue_online\taccess_type
        Moths\t9999-1004\t1900\tP
        """;
    Map<String, String> body = Map.of("name", "ours", "file", held ? file : "");
    mona.write("PUT", "/holdings/group", body, UUID.randomUUID()).ok();
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
    switch (random.nextInt(some == null ? 1 : 17)) {
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
        vocabulary(!model.narrower);
        history.add("shimmer is narrower than glow: " + model.narrower);
      }
      case 14, 15 -> {
        holdings(!model.held);
        history.add("the group holds the journal: " + model.held);
      }
      default -> runs();
    }
  }

  private void comes() {
    String key = "k" + works.size();
    Dated dated = DATES.get(random.nextInt(DATES.size()));
    Work work = new Work(key, dated, someTopics(), random.nextInt(3) == 0 ? second : first);
    work.onShelf = random.nextInt(3) > 0;
    history.add(
        "comes: " + key + " " + dated + " " + work.topics + (work.onShelf ? " on a shelf" : ""));
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
    whole.onShelf = one.onShelf;
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
            asked(next, watch.ours),
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

  /** Occasions and classes, as the tables have them. */
  private List<String> told(Watch watch) {
    Map<Object, String> names =
        works.values().stream()
            .collect(Collectors.toMap(work -> work.publication, AlertModel::named));
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
      boolean ours = n == 0;
      String search =
          mona.post(
                  "/folders/" + folder + "/searches",
                  Map.of("name", "Model " + n, "asked", asked(topics, ours)))
              .ok()
              .get("id")
              .asString();
      String rhythm = n % 2 == 0 ? "at-once" : "daily";
      String id =
          mona.post("/alerts", Map.of("search", search, "rhythm", rhythm))
              .ok()
              .get("id")
              .asString();
      watches.add(model.new Watch(id, search, topics, ours));
    }
    for (int day = 0; day < DAYS; day++) {
      APP.setClock(APP.bean(Calendar.class).now().plus(Duration.ofDays(1)));
      history.add("day " + day);
      IntStream.rangeClosed(0, 6 + random.nextInt(4)).forEach(n -> act());
      runs();
      for (Watch watch : watches) {
        assertThat(told(watch))
            .as("seed %d, %s: %s", seed, watch.id, String.join("; ", history))
            .isEqualTo(model.expected(watch));
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
