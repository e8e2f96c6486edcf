package org.quietlantern.server.platform.start;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Arrays;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;

/** The steps of the database that this version knows. */
public final class Migrations {
  private static final Pattern NAME = Pattern.compile("V(\\d+)__.*\\.sql");

  private Migrations() {}

  /** The number of the last one. */
  public static int newest() {
    try {
      return Arrays.stream(
              new PathMatchingResourcePatternResolver()
                  .getResources("classpath*:db/migration/V*.sql"))
          .map(step -> NAME.matcher(String.valueOf(step.getFilename())))
          .filter(Matcher::matches)
          .mapToInt(name -> Integer.parseInt(name.group(1)))
          .max()
          .orElseThrow();
    } catch (IOException unreadable) {
      throw new UncheckedIOException(unreadable);
    }
  }
}
