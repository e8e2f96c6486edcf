package org.quietlantern.server.feed;

import java.util.HashMap;
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

  /** {@code which}: which one of its kind. */
  private record Asked(String name, FeedSource source, String which) {}

  private Asked asked(String name) {
    String[] parts = name.split(":", 2);
    String which = parts.length > 1 ? parts[1] : "";
    return Optional.ofNullable(byKind.get(parts[0]))
        .filter(
            source -> source instanceof FeedSource.Alone == which.isEmpty() && !name.endsWith(":"))
        .map(source -> new Asked(name, source, which))
        .orElseThrow(Refusal::unknown);
  }

  boolean isCalendar(String name) {
    return asked(name).source().isCalendar();
  }

  FeedSource.Named named(Member who, String name) {
    return named(who, List.of(name)).get(name);
  }

  /** By the names that were asked for; those of a kind are asked for together. */
  Map<String, FeedSource.Named> named(Member who, List<String> names) {
    Map<String, FeedSource.Named> all = new HashMap<>();
    names.stream()
        .map(this::asked)
        .collect(Collectors.groupingBy(Asked::source))
        .forEach(
            (source, its) -> {
              Map<String, FeedSource.Named> found =
                  source.named(who, its.stream().map(Asked::which).toList());
              its.forEach(one -> all.put(one.name(), found.get(one.which())));
            });
    return all;
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
