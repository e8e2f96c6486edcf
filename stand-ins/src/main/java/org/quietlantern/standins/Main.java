package org.quietlantern.standins;

import java.io.IOException;
import org.quietlantern.standins.corpus.Extent;
import org.quietlantern.standins.corpus.Literature;
import org.quietlantern.standins.host.TextPlaces;

/**
 * Starts the outside world of the demo: its port, the address of the places of texts (without that
 * nobody says where texts are), the port of its mail server.
 */
public final class Main {
  private Main() {}

  public static void main(String[] arguments) throws IOException, InterruptedException {
    Outside outside =
        new Outside(
            Integer.parseInt(arguments[0]),
            Literature.of(Literature.SEED, Extent.WHOLE),
            arguments.length > 1 ? new TextPlaces(arguments[1]) : TextPlaces.UNTOLD,
            arguments.length > 2 ? Integer.parseInt(arguments[2]) : 0);
    System.out.println("The outside world answers at " + outside.address());
    Thread.currentThread().join();
  }
}
