package org.quietlantern.core.exchange;

import java.util.List;
import java.util.stream.Stream;
import org.quietlantern.core.publication.Publication;

/** What reading a supplied record came to. */
public sealed interface SuppliedRecord {
  /** Read; {@code problems} name what in it could not be used. */
  record Read(Publication publication, List<String> problems) implements SuppliedRecord {
    public Read {
      problems = List.copyOf(problems);
    }

    @Override
    public SuppliedRecord with(String problem) {
      return new Read(publication, Stream.concat(problems.stream(), Stream.of(problem)).toList());
    }
  }

  /** Cannot be used at all, and why. */
  record Unreadable(String reason) implements SuppliedRecord {
    @Override
    public SuppliedRecord with(String problem) {
      return new Unreadable(reason + "; " + problem);
    }
  }

  /** The same with one problem more. */
  SuppliedRecord with(String problem);
}
