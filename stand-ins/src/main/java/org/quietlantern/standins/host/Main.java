package org.quietlantern.standins.host;

import java.io.IOException;
import org.quietlantern.standins.corpus.Extent;
import org.quietlantern.standins.corpus.Literature;

/** Starts the places where the demo's texts are, with the port to answer at as argument. */
public final class Main {
  private Main() {}

  public static void main(String[] arguments) throws IOException, InterruptedException {
    TextHost host =
        new TextHost(Integer.parseInt(arguments[0]), Literature.of(Literature.SEED, Extent.WHOLE));
    System.out.println("The places of texts answer at " + host.address());
    Thread.currentThread().join();
  }
}
