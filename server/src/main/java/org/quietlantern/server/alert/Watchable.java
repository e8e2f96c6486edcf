package org.quietlantern.server.alert;

import java.util.Map;
import org.quietlantern.core.query.Line;
import org.quietlantern.core.query.Property;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.server.platform.Refusal;
import org.springframework.http.HttpStatus;

/** Which strategies can be watched (rule N9). */
final class Watchable {
  /** What names of strategies that find what is like a publication begin with. */
  private static final String ALIKE = "a:";

  private Watchable() {}

  /** Refuses the first line that is of the moment of asking, and names it. */
  static void require(Strategy strategy) {
    for (Line line : strategy.inForce()) {
      if (line instanceof Line.Limited limited && limited.limit().property() == Property.CAME) {
        throw refused(
            line,
            "An alert cannot be limited by when something came here: it tells what is new by"
                + " itself.");
      }
      if (line instanceof Line.Held held
          && held.strategies().stream().anyMatch(name -> name.startsWith(ALIKE))) {
        throw refused(line, "What is alike is worked out anew each time: it cannot be watched.");
      }
    }
  }

  private static Refusal refused(Line line, String why) {
    return new Refusal(
        HttpStatus.UNPROCESSABLE_CONTENT,
        "not-watchable",
        why + " Switch that line off and save the search without it.",
        Map.of("line", line.id()));
  }
}
