package org.quietlantern.server.matching;

import java.util.List;
import java.util.Optional;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.search.Library;
import org.springframework.stereotype.Component;

/** All shelves as the library of a group. */
@Component
public class Shelves {
  private static final int PREFIX = 2;
  private final List<Shelf> shelves;

  Shelves(List<Shelf> shelves) {
    this.shelves = shelves;
  }

  public Library of(int group) {
    return new Library() {
      @Override
      public Optional<Strategy> find(String name) {
        return shelf(name)
            .flatMap(shelf -> shelf.find(group, name.substring(PREFIX)))
            .map(StrategyBody::strategy);
      }

      @Override
      public Optional<Listed> listed(String name) {
        return shelf(name).flatMap(shelf -> shelf.listed(group, name.substring(PREFIX)));
      }
    };
  }

  /** What a held strategy is called; its name where it is not there any more. */
  public String title(int group, String name) {
    return shelf(name).flatMap(shelf -> shelf.title(group, name.substring(PREFIX))).orElse(name);
  }

  /** The name of the strategy that has taken its place, if one has. */
  public Optional<String> newer(int group, String name) {
    return shelf(name)
        .flatMap(
            shelf ->
                shelf.newer(group, name.substring(PREFIX)).map(newer -> shelf.prefix() + newer));
  }

  private Optional<Shelf> shelf(String name) {
    return shelves.stream().filter(shelf -> name.startsWith(shelf.prefix())).findFirst();
  }
}
