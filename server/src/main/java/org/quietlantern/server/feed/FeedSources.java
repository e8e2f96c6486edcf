package org.quietlantern.server.feed;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Refusal;
import org.springframework.stereotype.Component;

/** What feeds can be of, by the name that a feed has it under: {@code folder:ID}. */
@Component
class FeedSources {
  private final Map<String, FeedSource> byKind;

  FeedSources(List<FeedSource> all) {
    byKind = all.stream().collect(Collectors.toMap(FeedSource::kind, Function.identity()));
  }

  /** {@code name}: which one of its kind. */
  private record Asked(FeedSource source, String which) {}

  private Asked asked(String name) {
    String[] parts = name.split(":", 2);
    return Optional.ofNullable(byKind.get(parts[0]))
        .map(source -> new Asked(source, parts.length > 1 ? parts[1] : ""))
        .orElseThrow(Refusal::unknown);
  }

  FeedSource.Named named(Member who, String name) {
    Asked asked = asked(name);
    return asked.source().named(who, asked.which());
  }

  /** See {@link FeedSource#read}. */
  FeedSource.Thing read(Member who, String name, int before, int most) {
    Asked asked = asked(name);
    return asked.source().read(who, asked.which(), before, most);
  }

  /** See {@link FeedSource#archive}. */
  Optional<FeedSource.Archive> archive(Member who, String name, String archive) {
    Asked asked = asked(name);
    return asked.source().archive(who, asked.which(), archive);
  }
}
