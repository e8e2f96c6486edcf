package org.quietlantern.server.question;

import java.time.Instant;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.quietlantern.core.question.Place;
import org.quietlantern.server.alert.Alerts;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.folder.Folders;
import org.quietlantern.server.folder.SavedSearches;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Page;
import org.quietlantern.server.platform.Refusal;
import org.quietlantern.server.trail.Trail;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Questions as they are read. */
@Service
@Transactional(readOnly = true)
public class QuestionLists {
  private static final int A_PAGE = 50;
  private final QuestionMapper mapper;
  private final Questions questions;
  private final Groups groups;
  private final Trail trail;
  private final Publications publications;
  private final Folders folders;
  private final SavedSearches searches;
  private final Alerts alerts;

  /**
   * What was looked at when something was asked.
   *
   * @param place its address below the group's
   * @param name absent where the reader does not see it any more
   * @param q address of the sheet, where it is one
   * @param found by the sheet then
   */
  public record SeenShown(
      String kind,
      String place,
      @Nullable String name,
      @Nullable String q,
      @Nullable Integer found) {}

  /**
   * A question.
   *
   * @param to absent: the group's librarian
   * @param words that were said to it
   * @param lastBy who said the last of it
   * @param waitsFor {@code me}, {@code them} or {@code nobody}
   * @param mine whether the reader asked it
   * @param version to be given with a change
   */
  public record QuestionLine(
      String id,
      String text,
      String by,
      @Nullable String to,
      SeenShown seen,
      Instant at,
      int words,
      String lastBy,
      Instant lastAt,
      String waitsFor,
      boolean mine,
      @Nullable Instant closed,
      @Nullable String took,
      int version) {}

  /**
   * Something that was said to it.
   *
   * @param q address of the sheet that is proposed, with what it says and what it found then
   */
  public record WordShown(
      String id,
      String by,
      boolean mine,
      String text,
      @Nullable String q,
      @Nullable String sheet,
      @Nullable Integer found,
      Instant at) {}

  public record QuestionWhole(QuestionLine question, List<WordShown> words) {}

  /** {@code next}: from where to go on; absent on the last page. */
  public record QuestionsPage(
      List<QuestionLine> questions, int waiting, int open, int ended, @Nullable Integer next) {}

  QuestionLists(
      QuestionMapper mapper,
      Questions questions,
      Groups groups,
      Trail trail,
      Publications publications,
      Folders folders,
      SavedSearches searches,
      Alerts alerts) {
    this.mapper = mapper;
    this.questions = questions;
    this.groups = groups;
    this.trail = trail;
    this.publications = publications;
    this.folders = folders;
    this.searches = searches;
    this.alerts = alerts;
  }

  /** {@code of}: {@code waiting} (for who looks), {@code open} or {@code ended}. */
  QuestionsPage page(Member who, String of, int from) {
    if (!Set.of("waiting", "open", "ended").contains(of)) {
      throw Refusal.unusable("of", "Questions are waiting, open or ended.");
    }
    QuestionMapper.Reader reader = questions.reader(who);
    int begin = Math.max(0, from);
    Page<QuestionMapper.Row> page = Page.of(mapper.page(reader, of, begin, A_PAGE + 1), A_PAGE);
    QuestionMapper.Counts counts = mapper.counts(reader);
    return new QuestionsPage(
        page.rows().isEmpty() ? List.of() : shown(who, page.rows(), groups.names(who.group())),
        counts.waiting(),
        counts.open(),
        counts.ended(),
        page.more() ? begin + A_PAGE : null);
  }

  /** What waits for a member, the last said first; the first page of it. */
  public List<QuestionLine> waiting(Member who) {
    return page(who, "waiting", 0).questions();
  }

  QuestionWhole get(Member who, String pid) {
    QuestionMapper.Row row =
        Optional.ofNullable(mapper.find(questions.reader(who), pid)).orElseThrow(Refusal::unknown);
    List<QuestionMapper.Word> words = mapper.words(row.id());
    Map<String, String> sheets =
        trail.spoken(
            who, words.stream().map(QuestionMapper.Word::q).filter(Objects::nonNull).toList());
    Map<Integer, String> names = groups.names(who.group());
    return new QuestionWhole(
        shown(who, List.of(row), names).get(0),
        words.stream()
            .map(
                word ->
                    new WordShown(
                        word.pid(),
                        name(names, word.by()),
                        word.by() == who.id(),
                        word.body(),
                        word.q(),
                        word.q() == null ? null : sheets.get(word.q()),
                        word.found(),
                        word.at()))
            .toList());
  }

  /** What is asked, by public ids. */
  public Map<String, String> names(Member who, Collection<String> pids) {
    return mapper.names(who.group(), pids.toArray(String[]::new)).stream()
        .collect(Collectors.toMap(QuestionMapper.Name::pid, QuestionMapper.Name::body));
  }

  private static String name(Map<Integer, String> names, int id) {
    return names.getOrDefault(id, "a former member");
  }

  private List<QuestionLine> shown(
      Member who, List<QuestionMapper.Row> rows, Map<Integer, String> names) {
    Map<Place, String> places = places(who, rows.stream().map(QuestionLists::place).toList());
    return rows.stream().map(row -> shown(who, row, places, names)).toList();
  }

  private static QuestionLine shown(
      Member who, QuestionMapper.Row row, Map<Place, String> places, Map<Integer, String> names) {
    Place place = place(row);
    boolean mine = row.askedBy() == who.id();
    return new QuestionLine(
        row.pid(),
        row.body(),
        name(names, row.askedBy()),
        row.asked() == null ? null : name(names, row.asked()),
        new SeenShown(
            place.kind().name().toLowerCase(Locale.ROOT),
            place.address(),
            places.get(place),
            place.kind() == Place.Kind.SHEET ? place.id() : null,
            row.found()),
        row.made(),
        row.words(),
        name(names, row.lastBy()),
        row.lastAt(),
        row.waits().equals("nobody")
            ? "nobody"
            : row.waits().equals("asker") == mine ? "me" : "them",
        mine,
        row.closed(),
        row.took(),
        row.version());
  }

  private static Place place(QuestionMapper.Row row) {
    return Place.read(row.place()).orElseThrow();
  }

  /** What places are called, asked for all of a kind at once. */
  private Map<Place, String> places(Member who, List<Place> places) {
    Map<Place, String> names = new HashMap<>();
    places.stream()
        .collect(Collectors.groupingBy(Place::kind))
        .forEach(
            (kind, some) -> {
              Map<String, String> known =
                  names(who, kind, some.stream().map(Place::id).collect(Collectors.toSet()));
              some.stream()
                  .filter(place -> known.containsKey(place.id()))
                  .forEach(place -> names.put(place, known.get(place.id())));
            });
    return names;
  }

  private Map<String, String> names(Member who, Place.Kind kind, Set<String> ids) {
    return switch (kind) {
      case SHEET -> trail.spoken(who, ids);
      case FOLDER -> folders.names(who, ids);
      case SEARCH -> searches.names(who, ids);
      case ALERT -> alerts.names(who, ids);
      case PUBLICATION -> titles(who, ids);
      case ROUND -> Map.of();
    };
  }

  private Map<String, String> titles(Member who, Set<String> ids) {
    Map<String, String> titles = new HashMap<>();
    publications
        .byAskedPid(Viewer.of(who), ids)
        .forEach((id, stored) -> titles.put(id, stored.publication().title()));
    return titles;
  }
}
