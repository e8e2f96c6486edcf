package org.quietlantern.standins;

import java.io.IOException;
import java.nio.file.Path;
import org.quietlantern.standins.corpus.Extent;
import org.quietlantern.standins.corpus.Literature;
import org.quietlantern.standins.host.TextPlaces;

/**
 * Starts the outside world of the demo: its port, the address of the places of texts (without that
 * nobody says where texts are), the port of its mail server, the folder of its shared drive.
 */
public final class Main {
  private Main() {}

  public static void main(String[] arguments) throws IOException, InterruptedException {
    Literature literature = Literature.of(Literature.SEED, Extent.WHOLE);
    int port = Integer.parseInt(arguments[0]);
    TextPlaces places = arguments.length > 1 ? new TextPlaces(arguments[1]) : TextPlaces.UNTOLD;
    int mailPort = arguments.length > 2 ? Integer.parseInt(arguments[2]) : 0;
    Outside outside =
        arguments.length > 3
            ? new Outside(port, literature, places, mailPort, Path.of(arguments[3]))
            : new Outside(port, literature, places, mailPort);
    System.out.println("The outside world answers at " + outside.address());
    Thread.currentThread().join();
  }
}
