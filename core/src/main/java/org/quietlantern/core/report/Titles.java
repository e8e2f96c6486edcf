package org.quietlantern.core.report;

import java.util.stream.Collectors;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.core.publication.Relations;

/** Titles as an account names them: nobody shall cite what was retracted without knowing. */
public final class Titles {
  private Titles() {}

  /** With what was published about it since. */
  public static String of(Publication publication) {
    String notices =
        publication.relations().notices().stream()
            .map(Relations.Notice::kind)
            .distinct()
            .collect(Collectors.joining(", "));
    return notices.isEmpty() ? publication.title() : publication.title() + " [" + notices + "]";
  }
}
