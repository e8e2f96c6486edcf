package org.quietlantern.server.feed;

import java.time.Instant;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.quietlantern.core.search.Explanation;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Json;
import org.quietlantern.server.platform.Refusal;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** What alerts found: of one, with what gathers or without it, and of all that a member gets. */
@Configuration
class FoundFeeds {
  private static final String FOUND = "What Quiet Lantern found for %s";

  @Bean
  FeedSource alertFeed(FoundFeedMapper mapper, Json json) {
    return new OfAlert("alert", false, mapper, json);
  }

  @Bean
  FeedSource gatheringFeed(FoundFeedMapper mapper, Json json) {
    return new OfAlert("gathering", true, mapper, json);
  }

  @Bean
  FeedSource alertsFeed(FoundFeedMapper mapper, Json json) {
    return new OfAll(mapper, json);
  }

  /** {@code gathering}: also what its open round has. */
  private record OfAlert(String kind, boolean gathering, FoundFeedMapper mapper, Json json)
      implements FeedSource {

    @Override
    public Named named(Member who, String of) {
      String name = mapper.alert(who.group(), of).map(FoundFeedMapper.Alert::name).orElse("");
      return new Named(gathering ? name + ", as it gathers" : name, "a/" + of);
    }

    @Override
    public Thing read(Member who, String of, int before, int most) {
      FoundFeedMapper.Alert alert = mapper.alert(who.group(), of).orElseThrow(Refusal::unknown);
      return new Thing(
          gathering ? "What Quiet Lantern finds for %s, before its rounds close" : FOUND,
          alert.ended(),
          mapper.told(new Integer[] {alert.id()}, gathering, before, most).stream()
              .map(told -> shown(who, told, json))
              .toList());
    }
  }

  private record OfAll(FoundFeedMapper mapper, Json json) implements FeedSource {
    @Override
    public String kind() {
      return "alerts";
    }

    @Override
    public Named named(Member who, String of) {
      return new Named("All my alerts", "alerts");
    }

    @Override
    public Thing read(Member who, String of, int before, int most) {
      Integer[] alerts =
          mapper.received(who.group(), who.id(), who.mayWrite()).toArray(Integer[]::new);
      return new Thing(
          FOUND,
          null,
          mapper.told(alerts, false, before, most).stream()
              .map(told -> shown(who, told, json))
              .toList());
    }
  }

  private static FeedSource.Told shown(Member who, FoundFeedMapper.Found found, Json json) {
    String words =
        Stream.of(json.read(found.words(), Explanation[].class))
            .map(
                met ->
                    met.typed()
                        + " in "
                        + met.fields().stream()
                            .map(field -> field.word())
                            .collect(Collectors.joining(", ")))
            .collect(Collectors.joining("; "));
    Instant told = Optional.ofNullable(found.closed()).orElse(found.came());
    return new FeedSource.Told(
        found.id(),
        "arrival:" + who.group() + ":" + found.occasion(),
        found.publication(),
        found.findingClass(),
        "Found by “%s”%s.".formatted(found.alertName(), words.isEmpty() ? "" : ": " + words),
        found.came(),
        told,
        found.changed());
  }
}
