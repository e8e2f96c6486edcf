package org.quietlantern.server.reading;

import java.time.Duration;
import java.time.Instant;
import java.util.Collection;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.matching.TextsAtHand;
import org.quietlantern.server.platform.SystemTime;
import org.springframework.stereotype.Component;

/**
 * Which texts a group has, for every list of publications. Kept until another one comes or goes,
 * and no longer than a minute, for works are joined meanwhile.
 */
@Component
class AtHand implements TextsAtHand {
  private static final Duration LONGEST = Duration.ofMinutes(1);
  private final TextMapper mapper;
  private final SystemTime system;
  private final Map<Integer, Kept> kept = new ConcurrentHashMap<>();

  /** {@code texts}: as of which change to the group's texts. */
  private record Kept(int texts, Instant read, Map<Integer, TextMapper.Here> here) {}

  AtHand(TextMapper mapper, SystemTime system) {
    this.mapper = mapper;
    this.system = system;
  }

  @Override
  public Map<Integer, String> of(Member who, Collection<Integer> publications) {
    if (who.texts() == 0) {
      return Map.of();
    }
    Map<Integer, TextMapper.Here> here = kept(who).here();
    return publications.stream()
        .map(here::get)
        .filter(found -> found != null && (found.open() || who.mayWrite()))
        .collect(Collectors.toMap(TextMapper.Here::publication, TextMapper.Here::version));
  }

  @Override
  public Set<Integer> ofGroup(int group, Collection<Integer> publications) {
    return mapper.here(group).stream()
        .map(TextMapper.Here::publication)
        .filter(publications::contains)
        .collect(Collectors.toSet());
  }

  private Kept kept(Member who) {
    Instant now = system.now();
    Kept last = kept.get(who.group());
    if (last == null || last.texts() != who.texts() || last.read().plus(LONGEST).isBefore(now)) {
      Map<Integer, TextMapper.Here> here =
          mapper.here(who.group()).stream()
              .collect(Collectors.toMap(TextMapper.Here::publication, found -> found));
      last = new Kept(who.texts(), now, here);
      kept.put(who.group(), last);
    }
    return last;
  }
}
