package org.quietlantern.server.platform.settings;

import com.sun.management.OperatingSystemMXBean;
import java.io.PrintStream;
import java.lang.management.ManagementFactory;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import org.quietlantern.server.platform.start.Migrations;

/**
 * For the script that starts the server: prints the settings of a file, a line {@code name=value}
 * each, or says on the other stream what is wrong with it and ends with 2. Without a file: the
 * defaults. {@code --example}: the file with all defaults. {@code --migration}: the last step of
 * the database that this version knows.
 */
final class ReadSettings {
  private ReadSettings() {}

  public static void main(String[] arguments) {
    PrintStream out = new PrintStream(System.out, true, StandardCharsets.UTF_8);
    if (arguments.length == 1 && arguments[0].equals("--example")) {
      Settings.example().forEach(out::println);
      return;
    }
    if (arguments.length == 1 && arguments[0].equals("--migration")) {
      out.println(Migrations.newest());
      return;
    }
    try {
      Settings settings =
          arguments.length == 0 ? Settings.defaults() : Settings.read(Path.of(arguments[0]));
      settings.forScript(memory()).forEach((name, value) -> out.println(name + "=" + value));
    } catch (Settings.Unusable unusable) {
      PrintStream err = new PrintStream(System.err, true, StandardCharsets.UTF_8);
      unusable.sentences().forEach(err::println);
      System.exit(2);
    }
  }

  private static long memory() {
    return ((OperatingSystemMXBean) ManagementFactory.getOperatingSystemMXBean())
        .getTotalMemorySize();
  }
}
