package org.quietlantern.server.folder;

import java.util.Optional;
import org.quietlantern.server.matching.Shelf;
import org.quietlantern.server.matching.StrategyBody;
import org.quietlantern.server.platform.Json;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Revisions of saved searches, named {@code s:ID:n}. */
@Component
class RevisionShelf implements Shelf {
  private final SavedSearchMapper mapper;
  private final Json json;

  RevisionShelf(SavedSearchMapper mapper, Json json) {
    this.mapper = mapper;
    this.json = json;
  }

  @Override
  public String prefix() {
    return "s:";
  }

  @Override
  @Transactional(readOnly = true)
  public Optional<StrategyBody> find(int group, String name) {
    return held(group, name).map(held -> json.read(held.strategy(), StrategyBody.class));
  }

  @Override
  @Transactional(readOnly = true)
  public Optional<String> title(int group, String name) {
    return held(group, name)
        .map(held -> held.name() + ", revision " + name.substring(name.indexOf(':') + 1));
  }

  @Override
  @Transactional(readOnly = true)
  public Optional<String> newer(int group, String name) {
    int colon = name.indexOf(':');
    return mapper.revisions(group, name.substring(0, colon), 1).stream()
        .map(SavedSearchMapper.RevisionRow::n)
        .findFirst()
        .filter(last -> last > number(name).orElse(last))
        .map(last -> name.substring(0, colon) + ":" + last);
  }

  private Optional<SavedSearchMapper.Held> held(int group, String name) {
    int colon = name.indexOf(':');
    return number(name).map(revision -> mapper.held(group, name.substring(0, colon), revision));
  }

  /** The revision that a name ends in. */
  private static Optional<Integer> number(String name) {
    String number = name.substring(name.indexOf(':') + 1);
    return number.matches("\\d{1,9}") ? Optional.of(Integer.valueOf(number)) : Optional.empty();
  }
}
