package org.quietlantern.bench;

import java.nio.file.Path;

/**
 * What alerts cost. Arguments: JDBC address of a scratch database, its password; then what is
 * measured in core: records, or {@code 50000x20} for twenty copies of so many; searches; how many
 * records come.
 */
public final class AlertBench {
  private AlertBench() {}

  public static void main(String[] arguments) throws Exception {
    if (arguments[0].equals("served")) {
      new AlertsServed(Path.of(arguments[1]))
          .measure(
              Integer.parseInt(arguments[2]),
              Integer.parseInt(arguments[3]),
              Integer.parseInt(arguments[4]));
      return;
    }
    String[] size = arguments[2].split("x");
    new AlertWays(arguments[0], arguments[1])
        .measure(
            Integer.parseInt(size[0]),
            size.length > 1 ? Integer.parseInt(size[1]) : 1,
            Integer.parseInt(arguments[3]),
            Integer.parseInt(arguments[4]));
  }
}
