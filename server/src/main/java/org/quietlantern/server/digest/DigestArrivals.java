package org.quietlantern.server.digest;

import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.quietlantern.core.publication.PartialDate;
import org.quietlantern.core.query.Field;
import org.quietlantern.core.query.Span;
import org.quietlantern.core.review.Lamp;
import org.quietlantern.core.review.Mark;
import org.quietlantern.core.search.Explanation;
import org.quietlantern.core.search.Highlighter;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.StoredPublication;
import org.quietlantern.server.catalogue.Summary;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.matching.Matching;
import org.quietlantern.server.matching.StrategyBody;
import org.quietlantern.server.matching.Summaries;
import org.quietlantern.server.platform.Json;
import org.quietlantern.server.platform.Zones;
import org.quietlantern.server.review.CurrentMark;
import org.quietlantern.server.review.Reviews;
import org.springframework.stereotype.Component;

/**
 * What alerts brought, as a letter has it: by alert, each work once, what the reader has not looked
 * at first.
 */
@Component
class DigestArrivals {
  /** Works in one letter; of the rest it is said how many there are. */
  static final int MOST = 60;

  private static final int NAMES = 4;
  private static final DateTimeFormatter MONTH =
      DateTimeFormatter.ofPattern("MMMM uuuu", Locale.ENGLISH);

  private final Publications publications;
  private final Reviews reviews;
  private final Groups groups;
  private final Summaries summaries;
  private final Matching matching;
  private final Json json;

  /**
   * As the template has it.
   *
   * @param works all that came, also what there was no place for
   * @param rest those
   * @param withdrawn left out, because their sources took them back since
   */
  record Told(List<AlertTold> alerts, int works, int rest, int withdrawn) {}

  /** {@code round}: the address of its last round; {@code stop}: where its letters end. */
  record AlertTold(String name, String came, String round, String stop, List<WorkTold> works) {}

  /** A part of a title. */
  record Piece(String text, boolean lit) {}

  /** {@code said}: what each colleague said of it, and the reader. */
  record WorkTold(
      String link,
      List<Piece> title,
      String facts,
      String ages,
      String why,
      List<String> said,
      List<MarkOffered> marks) {
    /** The title as text. */
    String heading() {
      return title.stream().map(Piece::text).collect(Collectors.joining());
    }
  }

  record MarkOffered(String mark, String link) {}

  /** All that is needed of works that came. */
  private record Known(
      Member who,
      String place,
      Map<Integer, StoredPublication> stored,
      Map<Integer, Summary> shown,
      Map<Integer, List<CurrentMark>> said,
      Map<Integer, String> names) {

    boolean owed(DigestMapper.Untold one) {
      Lamp lamp = CurrentMark.lampOf(who.id(), said.getOrDefault(one.occasion(), List.of()));
      return who.mayWrite() && one.on().occasion().isToReview() && lamp.owes();
    }
  }

  DigestArrivals(
      Publications publications,
      Reviews reviews,
      Groups groups,
      Summaries summaries,
      Matching matching,
      Json json) {
    this.publications = publications;
    this.reviews = reviews;
    this.groups = groups;
    this.summaries = summaries;
    this.matching = matching;
    this.json = json;
  }

  /**
   * @param place address of the group's pages
   * @param stop where letters of an alert are stopped
   */
  Told told(
      Member who, List<DigestMapper.Untold> untold, String place, UnaryOperator<String> stop) {
    if (untold.isEmpty()) {
      return new Told(List.of(), 0, 0, 0);
    }
    Map<Integer, List<DigestMapper.Untold>> byWork =
        untold.stream()
            .collect(
                Collectors.groupingBy(
                    DigestMapper.Untold::publication, LinkedHashMap::new, Collectors.toList()));
    Map<Integer, StoredPublication> stored = publications.byAsked(Viewer.of(who), byWork.keySet());
    Map<String, List<DigestMapper.Untold>> byAlert =
        byWork.values().stream()
            .map(found -> found.get(0))
            .filter(one -> isThere(stored.get(one.publication())))
            .collect(
                Collectors.groupingBy(
                    DigestMapper.Untold::alert, LinkedHashMap::new, Collectors.toList()));
    Known known = known(who, place, untold, stored, byAlert);
    List<AlertTold> alerts = new ArrayList<>();
    int left = MOST;
    for (List<DigestMapper.Untold> its : byAlert.values()) {
      if (left > 0) {
        alerts.add(alert(known, its, byWork, left, stop));
        left -= Math.min(left, its.size());
      }
    }
    int works = byAlert.values().stream().mapToInt(List::size).sum();
    return new Told(alerts, works, Math.max(0, works - MOST), byWork.size() - works);
  }

  private static boolean isThere(StoredPublication stored) {
    return stored != null && !stored.withdrawn();
  }

  private Known known(
      Member who,
      String place,
      List<DigestMapper.Untold> untold,
      Map<Integer, StoredPublication> stored,
      Map<String, List<DigestMapper.Untold>> byAlert) {
    List<StoredPublication> there =
        byAlert.values().stream()
            .flatMap(List::stream)
            .map(one -> stored.get(one.publication()))
            .toList();
    return new Known(
        who,
        place,
        stored,
        summaries.of(who, there),
        reviews.onOccasions(
            who, untold.stream().map(DigestMapper.Untold::occasion).distinct().toList()),
        groups.members(who.group()).stream().collect(Collectors.toMap(Member::id, Member::name)));
  }

  private AlertTold alert(
      Known known,
      List<DigestMapper.Untold> its,
      Map<Integer, List<DigestMapper.Untold>> byWork,
      int most,
      UnaryOperator<String> stop) {
    DigestMapper.Untold first = its.get(0);
    Highlighter highlighter =
        matching.highlighter(
            known.who(), json.read(first.strategy(), StrategyBody.class).strategy());
    List<WorkTold> works =
        its.stream()
            .sorted(Comparator.comparing(one -> !known.owed(one)))
            .limit(most)
            .map(one -> work(known, one, byWork.get(one.publication()), highlighter))
            .toList();
    return new AlertTold(
        first.alertName(),
        its.size() == works.size()
            ? "%,d new".formatted(its.size())
            : "%,d new, %,d of them here".formatted(its.size(), works.size()),
        known.place() + "r/" + first.round(),
        stop.apply(first.alert()),
        works);
  }

  private WorkTold work(
      Known known,
      DigestMapper.Untold one,
      List<DigestMapper.Untold> found,
      Highlighter highlighter) {
    StoredPublication stored = known.stored().get(one.publication());
    Summary summary = known.shown().get(stored.id());
    String title = stored.publication().title();
    return new WorkTold(
        known.place() + "p/" + stored.pid(),
        pieces(title, highlighter.lit(Field.TITLE, title)),
        Stream.of(
                people(summary.authors()),
                summary.where(),
                summary.retracted() ? "retracted" : "",
                summary.access())
            .filter(part -> !part.isEmpty())
            .collect(Collectors.joining(" · ")),
        ages(stored, summary),
        why(found),
        said(known, one.occasion()),
        known.who().mayWrite() && one.on().occasion().isToReview()
            ? marks(known.place(), stored.pid(), one)
            : List.of());
  }

  static List<Piece> pieces(String title, List<Span> lit) {
    List<Piece> pieces = new ArrayList<>();
    int from = 0;
    for (Span span : lit) {
      pieces.add(new Piece(title.substring(from, span.start()), false));
      pieces.add(new Piece(title.substring(span.start(), span.end()), true));
      from = span.end();
    }
    pieces.add(new Piece(title.substring(from), false));
    return pieces.stream().filter(piece -> !piece.text().isEmpty()).toList();
  }

  private static String people(List<String> names) {
    return names.size() > NAMES
        ? "%s and %d others".formatted(names.get(0), names.size() - 1)
        : String.join(", ", names);
  }

  /** Both: when it appeared, and since when it is here. */
  private static String ages(StoredPublication stored, Summary summary) {
    String here = "here since " + Zones.day(summary.came());
    return stored
        .publication()
        .date()
        .map(date -> "appeared %s, %s".formatted(spoken(date), here))
        .orElse("undated, " + here);
  }

  private static String spoken(PartialDate date) {
    if (date.onlyYear()) {
      return Integer.toString(date.year());
    }
    LocalDate day = date.earliest();
    return date.day() == 0 ? MONTH.format(day) : Zones.day(day);
  }

  /** Its class where that says something, words with the fields in which they were met, alerts. */
  private String why(List<DigestMapper.Untold> found) {
    DigestMapper.Untold first = found.get(0);
    Map<String, Set<Field>> met = new LinkedHashMap<>();
    for (DigestMapper.Untold one : found) {
      for (Explanation word : json.read(one.words(), Explanation[].class)) {
        met.computeIfAbsent(word.typed(), typed -> new LinkedHashSet<>()).addAll(word.fields());
      }
    }
    String words =
        met.entrySet().stream()
            .map(one -> Explanation.said(one.getKey(), one.getValue()))
            .collect(Collectors.joining("; "));
    String others =
        found.stream()
            .filter(one -> !one.alert().equals(first.alert()))
            .map(one -> "“%s”".formatted(one.alertName()))
            .distinct()
            .collect(Collectors.joining(", "));
    return Stream.of(
            as(first),
            found.stream()
                .filter(one -> !one.on().equals(first.on()))
                .map(DigestArrivals::as)
                .distinct()
                .collect(Collectors.joining(", ")),
            words,
            others.isEmpty() ? "" : "also found by " + others)
        .filter(part -> !part.isEmpty())
        .collect(Collectors.joining("; "));
  }

  /** In which way it is new, where that says something; or what happened to it since. */
  private static String as(DigestMapper.Untold one) {
    if (!one.on().isFirst()) {
      return one.on().occasion().said();
    }
    return one.findingClass().equals("published") ? "" : one.findingClass();
  }

  private static List<String> said(Known known, int occasion) {
    Map<Integer, CurrentMark> byMember =
        known.said().getOrDefault(occasion, List.of()).stream()
            .collect(Collectors.toMap(CurrentMark::member, Function.identity()));
    return byMember.values().stream()
        .sorted(Comparator.comparing(CurrentMark::at))
        .map(
            mark -> {
              String name =
                  mark.member() == known.who().id() ? "You" : known.names().get(mark.member());
              return name == null
                  ? null
                  : "%s: %s%s"
                      .formatted(
                          name,
                          mark.mark().word(),
                          mark.reason().isEmpty() ? "" : ", “" + mark.reason() + "”");
            })
        .filter(Objects::nonNull)
        .toList();
  }

  private static String encoded(String word) {
    return URLEncoder.encode(word, StandardCharsets.UTF_8);
  }

  /** Each leads to a page where it is chosen, and not made. */
  private static List<MarkOffered> marks(String place, String work, DigestMapper.Untold one) {
    String on = one.on().isFirst() ? "" : "&on=" + one.on().text();
    return Mark.ofOneWork().stream()
        .map(
            mark ->
                new MarkOffered(
                    mark.word(),
                    "%smark/%s?say=%s&in=%s%s"
                        .formatted(place, work, encoded(mark.word()), one.round(), on)))
        .toList();
  }
}
