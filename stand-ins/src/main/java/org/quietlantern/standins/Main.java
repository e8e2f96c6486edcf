package org.quietlantern.standins;

import java.io.IOException;
import org.quietlantern.standins.corpus.Extent;
import org.quietlantern.standins.corpus.Literature;

/** Starts the outside world of the demo: {@code java -jar stand-ins.jar PORT}. */
public final class Main {
  private Main() {}

  public static void main(String[] arguments) throws IOException, InterruptedException {
    Outside outside =
        new Outside(Integer.parseInt(arguments[0]), Literature.of(Literature.SEED, Extent.WHOLE));
    System.out.println("The outside world answers at " + outside.address());
    Thread.currentThread().join();
  }
}
