package org.quietlantern.server.alert;

import java.util.HashSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.quietlantern.core.query.Line;
import org.quietlantern.core.query.Property;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.search.Library;
import org.quietlantern.server.matching.Shelves;
import org.quietlantern.server.platform.Refusal;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/** Which strategies can be watched, and which lines keep others from it (rule N9). */
@Component
class Watchable {
  /** What names of strategies that find what is like a publication begin with. */
  private static final String ALIKE = "a:";

  private final Shelves shelves;

  Watchable(Shelves shelves) {
    this.shelves = shelves;
  }

  /**
   * Refuses the first line that is of the moment of asking, or that holds such a line however deep,
   * and names it: a line of this strategy, without which it can be watched.
   */
  void require(int group, Strategy strategy) {
    Library library = shelves.of(group);
    for (Line line : strategy.inForce()) {
      why(line, library, new HashSet<>()).ifPresent(why -> refuse(line, why));
    }
  }

  private static Optional<String> why(Line line, Library library, Set<String> seen) {
    if (line instanceof Line.Limited limited && limited.limit().property() == Property.CAME) {
      return Optional.of(
          "An alert cannot be limited by when something came here: it tells what is new by"
              + " itself.");
    }
    if (line instanceof Line.Held held) {
      return held.strategies().stream()
          .flatMap(name -> ofHeld(name, library, seen).stream())
          .findFirst();
    }
    return Optional.empty();
  }

  private static Optional<String> ofHeld(String name, Library library, Set<String> seen) {
    if (name.startsWith(ALIKE)) {
      return Optional.of("What is alike is worked out anew each time: it cannot be watched.");
    }
    if (!seen.add(name)) {
      return Optional.empty();
    }
    return library.find(name).stream()
        .flatMap(strategy -> strategy.inForce().stream())
        .flatMap(line -> why(line, library, seen).stream())
        .findFirst()
        .map(why -> why + " It stands in a strategy that this line holds.");
  }

  private static void refuse(Line line, String why) {
    throw new Refusal(
        HttpStatus.UNPROCESSABLE_CONTENT,
        "not-watchable",
        why,
        Map.of("line", line.id(), "says", says(line)));
  }

  /** The line in a word or two, for the way out. */
  private static String says(Line line) {
    return line instanceof Line.Limited limited ? limited.limit().property().word() : "held";
  }
}
