package org.quietlantern.server.feed;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.quietlantern.core.search.Explanation;
import org.quietlantern.core.watch.Occasion;
import org.quietlantern.server.alert.Alerts;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Json;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Refusal;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** What alerts found: of one, with what gathers or without it, and of all that a member gets. */
@Configuration
class FoundFeeds {
  private static final String FOUND = "What Quiet Lantern found for %s";

  @Bean
  FeedSource alertFeed(Alerts alerts, FoundFeedMapper mapper, Json json) {
    return new OfAlert("alert", false, alerts, mapper, json);
  }

  @Bean
  FeedSource gatheringFeed(Alerts alerts, FoundFeedMapper mapper, Json json) {
    return new OfAlert("gathering", true, alerts, mapper, json);
  }

  @Bean
  FeedSource alertsFeed(FoundFeedMapper mapper, Json json) {
    return new OfAll(mapper, json);
  }

  /** {@code gathering}: also what its open round has. */
  private record OfAlert(
      String kind, boolean gathering, Alerts alerts, FoundFeedMapper mapper, Json json)
      implements FeedSource {

    @Override
    public Map<String, Named> named(Member who, List<String> of) {
      return alerts.names(who, of).entrySet().stream()
          .collect(
              Collectors.toMap(
                  Map.Entry::getKey,
                  alert ->
                      new Named(
                          gathering ? alert.getValue() + ", as it gathers" : alert.getValue(),
                          "a/" + alert.getKey())));
    }

    private FoundFeedMapper.Alert alert(Member who, String of) {
      return mapper.alert(who.group(), of).orElseThrow(Refusal::unknown);
    }

    @Override
    public Thing read(Member who, String of, int before, int most) {
      FoundFeedMapper.Alert alert = alert(who, of);
      return new Thing(
          gathering ? "What Quiet Lantern finds for %s, before its rounds close" : FOUND,
          alert.ended(),
          shown(who, mapper.told(new Integer[] {alert.id()}, gathering, "", before, most), json));
    }

    @Override
    public Optional<Archive> archive(Member who, String of, String archive) {
      FoundFeedMapper.Alert alert = alert(who, of);
      return archived(who, new Integer[] {alert.id()}, alert.ended(), archive, mapper, json);
    }
  }

  private record OfAll(FoundFeedMapper mapper, Json json) implements FeedSource.Alone {
    @Override
    public String kind() {
      return "alerts";
    }

    @Override
    public Named itself() {
      return new Named("All my alerts", "alerts");
    }

    private Integer[] alerts(Member who) {
      return mapper.received(who.group(), who.id(), who.mayWrite()).toArray(Integer[]::new);
    }

    @Override
    public Thing read(Member who, String of, int before, int most) {
      return new Thing(
          FOUND, null, shown(who, mapper.told(alerts(who), false, "", before, most), json));
    }

    @Override
    public Optional<Archive> archive(Member who, String of, String archive) {
      return archived(who, alerts(who), null, archive, mapper, json);
    }
  }

  /** A closed round has all it will ever have. The latest is told by its name alone. */
  private static Optional<FeedSource.Archive> archived(
      Member who,
      Integer[] alerts,
      @Nullable Instant ended,
      String archive,
      FoundFeedMapper mapper,
      Json json) {
    return mapper
        .closed(alerts, archive)
        .map(
            closed ->
                new FeedSource.Archive(
                    closed.round(),
                    closed.before(),
                    closed.after(),
                    new FeedSource.Thing(
                        FOUND,
                        ended,
                        archive.isEmpty()
                            ? List.of()
                            : shown(
                                who,
                                mapper.told(alerts, false, archive, 0, Integer.MAX_VALUE),
                                json))));
  }

  private static List<FeedSource.Told> shown(
      Member who, List<FoundFeedMapper.Found> found, Json json) {
    return found.stream().map(one -> shown(who, one, json)).toList();
  }

  private static String why(FoundFeedMapper.Found found, String words) {
    Occasion occasion = Occasion.named(found.kind());
    return occasion == Occasion.FIRST_COMING
        ? "Found by “%s”%s.".formatted(found.alertName(), words.isEmpty() ? "" : ": " + words)
        : "It %s, says “%s”.".formatted(occasion.said(), found.alertName());
  }

  private static FeedSource.Told shown(Member who, FoundFeedMapper.Found found, Json json) {
    String words =
        Stream.of(json.read(found.words(), Explanation[].class))
            .map(met -> Explanation.said(met.typed(), met.fields()))
            .collect(Collectors.joining("; "));
    Instant told = Optional.ofNullable(found.closed()).orElse(found.came());
    return new FeedSource.Told(
        found.id(),
        "arrival:" + who.group() + ":" + found.occasion(),
        found.publication(),
        found.findingClass(),
        why(found, words),
        found.came(),
        told,
        found.changed());
  }
}
