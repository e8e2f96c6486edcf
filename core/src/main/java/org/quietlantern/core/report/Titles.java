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
    return with(publication.title(), notices);
  }

  /** Where no more is known than whether it was retracted. */
  public static String of(String title, boolean retracted) {
    return with(title, retracted ? "retraction" : "");
  }

  private static String with(String title, String notices) {
    return notices.isEmpty() ? title : title + " [" + notices + "]";
  }
}
