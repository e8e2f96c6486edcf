package org.quietlantern.core.exchange;

import java.util.List;
import org.quietlantern.core.publication.Publication;

/** What reading a supplied record came to. */
public sealed interface Supplied {
  /** Read; {@code problems} name what in it could not be used. */
  record Read(Publication publication, List<String> problems) implements Supplied {
    public Read {
      problems = List.copyOf(problems);
    }
  }

  /** Cannot be used at all, and why. */
  record Unreadable(String reason) implements Supplied {}
}
