package org.quietlantern.standins;

import java.io.IOException;
import org.quietlantern.standins.corpus.Corpus;
import org.quietlantern.standins.oai.SourceServer;

/** Starts the outside world of the demo: {@code java -jar stand-ins.jar PORT}. */
public final class Main {
  private static final long SEED = 1887;

  private Main() {}

  public static void main(String[] arguments) throws IOException, InterruptedException {
    SourceServer source = new SourceServer(Integer.parseInt(arguments[0]), Corpus.of(SEED));
    System.out.println("The Night Index answers at " + source.address());
    Thread.currentThread().join();
  }
}
