package org.quietlantern.server.arrival;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.quietlantern.core.review.Lamp;
import org.quietlantern.core.search.Explanation;
import org.quietlantern.core.watch.Coming;
import org.quietlantern.server.catalogue.StoredPublication;
import org.quietlantern.server.catalogue.Summary;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.matching.Summaries;
import org.quietlantern.server.platform.Json;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.review.CurrentMark;
import org.quietlantern.server.review.Reviews;
import org.springframework.stereotype.Component;

/** Arrivals as they are shown: the work, why it is here, and the lamps of all members. */
@Component
class ArrivalViews {
  private final Reviews reviews;
  private final Summaries summaries;
  private final Json json;

  ArrivalViews(Reviews reviews, Summaries summaries, Json json) {
    this.reviews = reviews;
    this.summaries = summaries;
    this.json = json;
  }

  /**
   * In the same order.
   *
   * @param reviewers whose lamps are shown, in their order
   * @param stored the works
   * @param marks what everybody said, by occasion
   */
  List<ArrivalShown> of(
      Member who,
      List<Groups.InGroup> reviewers,
      List<RoundMapper.FoundRow> found,
      List<StoredPublication> stored,
      Map<Integer, List<CurrentMark>> marks) {
    Map<Integer, Summary> shown = summaries.of(who, stored);
    List<Integer> again =
        found.stream()
            .filter(f -> !f.on().isFirst())
            .map(RoundMapper.FoundRow::publication)
            .distinct()
            .toList();
    Said said = new Said(marks, reviews.onPublications(who, again));
    return found.stream()
        .map(f -> shown(f, Objects.requireNonNull(shown.get(f.publication())), reviewers, said))
        .toList();
  }

  /** Marks by occasion, and those on the first comings of what comes again, by work. */
  private record Said(
      Map<Integer, List<CurrentMark>> now, Map<Integer, List<CurrentMark>> before) {}

  private static Map<Integer, CurrentMark> byMember(List<CurrentMark> marks) {
    return marks.stream().collect(Collectors.toMap(CurrentMark::member, Function.identity()));
  }

  private ArrivalShown shown(
      RoundMapper.FoundRow found, Summary summary, List<Groups.InGroup> reviewers, Said said) {
    Map<Integer, CurrentMark> now = byMember(said.now().getOrDefault(found.occasion(), List.of()));
    Map<Integer, CurrentMark> before =
        byMember(
            found.on().isFirst()
                ? List.of()
                : said.before().getOrDefault(found.publication(), List.of()));
    List<ArrivalShown.WordsMet> words =
        Arrays.stream(json.read(found.words(), Explanation[].class))
            .map(
                w ->
                    new ArrivalShown.WordsMet(
                        w.typed(), w.fields().stream().map(f -> f.word()).toList()))
            .toList();
    return new ArrivalShown(
        new Coming.Of(summary.id(), found.on()).name(),
        summary,
        found.kind(),
        found.findingClass(),
        found.hereSince(),
        found.came(),
        words,
        found.on().occasion().isToReview()
            ? reviewers.stream().map(m -> lamp(m, now.get(m.id()), before.get(m.id()))).toList()
            : List.of(),
        List.of());
  }

  private static ArrivalShown.LampShown lamp(
      Groups.InGroup member, @Nullable CurrentMark said, @Nullable CurrentMark before) {
    String had = before == null ? null : before.mark().word();
    return said == null
        ? new ArrivalShown.LampShown(member.pid(), Lamp.UNLIT.word(), null, null, null, had)
        : new ArrivalShown.LampShown(
            member.pid(),
            said.mark().lamp().word(),
            said.mark().word(),
            said.reason(),
            said.at(),
            had);
  }
}
