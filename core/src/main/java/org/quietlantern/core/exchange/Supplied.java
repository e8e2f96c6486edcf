package org.quietlantern.core.exchange;

import java.util.List;
import java.util.stream.Stream;
import org.quietlantern.core.publication.Publication;

/** What reading a supplied record came to. */
public sealed interface Supplied {
  /** Read; {@code problems} name what in it could not be used. */
  record Read(Publication publication, List<String> problems) implements Supplied {
    public Read {
      problems = List.copyOf(problems);
    }

    @Override
    public Supplied with(String problem) {
      return new Read(publication, Stream.concat(problems.stream(), Stream.of(problem)).toList());
    }
  }

  /** Cannot be used at all, and why. */
  record Unreadable(String reason) implements Supplied {
    @Override
    public Supplied with(String problem) {
      return new Unreadable(reason + "; " + problem);
    }
  }

  /** The same with one problem more. */
  Supplied with(String problem);
}
