package org.quietlantern.server.export;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Supplier;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.server.arrival.Arrivals;
import org.quietlantern.server.bibliography.BelowEntries;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.StoredPublication;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.folder.FolderReading;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.matching.Matching;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Refusal;
import org.quietlantern.server.review.CurrentMark;
import org.quietlantern.server.review.Reviews;
import org.quietlantern.server.trail.Trail;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.util.function.SingletonSupplier;

/** Which works leave: of a folder, a search, a round, or chosen one by one. */
@Service
@Transactional(readOnly = true)
class Selections {
  /** Works of one file: what a browser holds before it is saved. */
  static final int MOST = 100_000;

  private static final Set<Part> OF_WORKS = EnumSet.of(Part.ABSTRACT, Part.KEYWORDS, Part.LINK);

  private final FolderReading folders;
  private final BelowEntries below;
  private final Trail trail;
  private final Matching matching;
  private final Arrivals arrivals;
  private final Publications publications;
  private final Reviews reviews;
  private final Groups groups;

  Selections(
      FolderReading folders,
      BelowEntries below,
      Trail trail,
      Matching matching,
      Arrivals arrivals,
      Publications publications,
      Reviews reviews,
      Groups groups) {
    this.folders = folders;
    this.below = below;
    this.trail = trail;
    this.matching = matching;
    this.arrivals = arrivals;
    this.publications = publications;
    this.reviews = reviews;
    this.groups = groups;
  }

  /**
   * What leaves, by one of the first four.
   *
   * @param q of a settled search
   * @param publications in their order
   * @param order of a folder, as lists have it; absent: the usual one
   */
  public record Named(
      @Nullable String folder,
      @Nullable String q,
      @Nullable String round,
      @Nullable List<String> publications,
      @Nullable String order) {}

  Leaving of(Member who, Named named) {
    if (named.folder() != null) {
      return folder(who, named.folder(), named.order());
    }
    if (named.q() != null) {
      return search(who, named.q());
    }
    return named.round() != null ? round(who, named.round()) : works(who, named.publications());
  }

  /** {@code order}: as lists have it; absent: the usual one. */
  Leaving folder(Member who, String pid, @Nullable String order) {
    FolderReading.Contents contents = folders.contents(who, pid, order == null ? "" : order);
    // Of all works at once, however many pages ask for some.
    Supplier<Map<Integer, String>> annotations =
        SingletonSupplier.of(() -> below.texts(contents.folder()));
    Set<Part> offered = offered(who);
    offered.addAll(EnumSet.of(Part.ADDED, Part.REASONS, Part.ANNOTATION));
    return bounded(
        new Leaving(
            contents.name(),
            "in the order of the list",
            contents.works(),
            List.of(),
            offered,
            (works, parts) -> {
              Saying saying = new Saying();
              if (parts.contains(Part.ADDED) || parts.contains(Part.REASONS)) {
                folders
                    .reasons(who, contents.folder(), works)
                    .forEach((work, all) -> saying.reasons(who, work, all, parts));
              }
              marks(who, works, parts, saying);
              if (parts.contains(Part.ANNOTATION)) {
                saying.annotate(works, annotations.get());
              }
              return saying.all();
            }));
  }

  Leaving search(Member who, String q) {
    Strategy strategy = trail.get(who, q).strategy();
    int[] found = matching.look(who, look -> look.snapshot().all(look.compile(strategy)).toArray());
    return plain(
        who,
        trail.spoken(strategy),
        "in the order in which they came here",
        Arrays.stream(found).boxed().toList(),
        List.of());
  }

  Leaving round(Member who, String pid) {
    Arrivals.RoundWorks round = arrivals.works(who, pid);
    return plain(who, round.name(), "the newest here first", round.works(), List.of());
  }

  /** {@code pids}: in their order; refused where there is none. */
  Leaving works(Member who, @Nullable List<String> pids) {
    if (pids == null || pids.isEmpty()) {
      throw Refusal.unusable("publications", "No publication was chosen.");
    }
    if (pids.size() > MOST) {
      throw tooMany(pids.size());
    }
    Map<String, StoredPublication> known = publications.byAskedPid(Viewer.of(who), pids);
    Set<Integer> works = new LinkedHashSet<>();
    List<String> unknown = new ArrayList<>();
    for (String pid : pids) {
      if (known.containsKey(pid)) {
        works.add(known.get(pid).id());
      } else {
        unknown.add(pid);
      }
    }
    String name =
        works.size() == 1 ? known.values().iterator().next().publication().title() : "Publications";
    return plain(who, name, "in the order of the list", List.copyOf(works), unknown);
  }

  private Leaving plain(
      Member who, String name, String order, List<Integer> works, List<String> unknown) {
    return bounded(
        new Leaving(
            name,
            order,
            works,
            unknown,
            offered(who),
            (some, parts) -> {
              Saying saying = new Saying();
              marks(who, some, parts, saying);
              return saying.all();
            }));
  }

  /** Guests know nothing of marks. */
  private static Set<Part> offered(Member who) {
    Set<Part> offered = EnumSet.copyOf(OF_WORKS);
    if (who.mayWrite()) {
      offered.add(Part.MARKS);
    }
    return offered;
  }

  private static Leaving bounded(Leaving leaving) {
    if (leaving.works().size() > MOST) {
      throw tooMany(leaving.works().size());
    }
    return leaving;
  }

  private static Refusal tooMany(int works) {
    return Refusal.unusable(
        "too-many",
        "%,d publications are more than the %,d that one file holds; take them by years."
            .formatted(works, MOST));
  }

  private void marks(Member who, Collection<Integer> works, Set<Part> parts, Saying saying) {
    if (!parts.contains(Part.MARKS) || !who.mayWrite()) {
      return;
    }
    Map<Integer, String> names = groups.names(who.group());
    reviews
        .toldOf(who.group(), works)
        .forEach((work, all) -> all.forEach(one -> saying.mark(who, work, one, names)));
  }

  /** What is said of works, gathered. */
  private static final class Saying {
    private final Map<Integer, List<String>> notes = new HashMap<>();
    private final Map<Integer, String> annotations = new HashMap<>();

    void reasons(Member who, int work, List<FolderReading.ReasonGiven> reasons, Set<Part> parts) {
      for (FolderReading.ReasonGiven one : reasons) {
        LocalDate day = one.at().atZone(who.zoneId()).toLocalDate();
        String added =
            parts.contains(Part.ADDED) ? "Added by %s, %s".formatted(one.who(), day) : "";
        String reason = parts.contains(Part.REASONS) ? one.text() : "";
        note(
            work, added, reason.isEmpty() || !added.isEmpty() ? reason : one.who() + ": " + reason);
      }
    }

    void mark(Member who, int work, CurrentMark one, Map<Integer, String> names) {
      LocalDate day = one.at().atZone(who.zoneId()).toLocalDate();
      String name = names.getOrDefault(one.member(), "a former member");
      // Keeping is a mark, too, with the same reason.
      String reason =
          notes.getOrDefault(work, List.of()).stream()
                  .anyMatch(note -> note.endsWith(": " + one.reason()))
              ? ""
              : one.reason();
      note(work, "Marked %s by %s, %s".formatted(one.mark().word(), name, day), reason);
    }

    void annotate(Collection<Integer> works, Map<Integer, String> all) {
      for (Integer work : works) {
        if (all.containsKey(work)) {
          annotations.put(work, all.get(work));
        }
      }
    }

    private void note(int work, String what, String text) {
      String note = what.isEmpty() || text.isEmpty() ? what + text : what + ": " + text;
      if (!note.isEmpty()) {
        notes.computeIfAbsent(work, w -> new ArrayList<>()).add(note);
      }
    }

    Map<Integer, Leaving.Said> all() {
      Map<Integer, Leaving.Said> all = new HashMap<>();
      annotations.forEach((work, text) -> all.put(work, new Leaving.Said(List.of(), text)));
      notes.forEach(
          (work, said) ->
              all.put(work, new Leaving.Said(said, annotations.getOrDefault(work, ""))));
      return all;
    }
  }
}
