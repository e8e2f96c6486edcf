package org.quietlantern.server;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.quietlantern.server.platform.settings.Settings;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.context.properties.ConfigurationPropertiesScan;
import org.springframework.boot.security.autoconfigure.UserDetailsServiceAutoConfiguration;

/** Starts the server. */
@SpringBootApplication(exclude = UserDetailsServiceAutoConfiguration.class)
@ConfigurationPropertiesScan
public class QuietLantern {
  private static final String SETTINGS = "--settings=";

  /**
   * {@code --settings=FILE}: as docs/settings.md says; without a name, as they are by themselves.
   */
  public static void main(String[] arguments) {
    List<String> all = new ArrayList<>();
    for (String argument : arguments) {
      if (argument.startsWith(SETTINGS)) {
        all.addAll(0, settings(argument.substring(SETTINGS.length())));
      } else {
        all.add(argument);
      }
    }
    SpringApplication.run(QuietLantern.class, all.toArray(String[]::new));
  }

  private static List<String> settings(String file) {
    try {
      Settings settings = file.isEmpty() ? Settings.defaults() : Settings.read(Path.of(file));
      return settings.arguments();
    } catch (Settings.Unusable unusable) {
      throw new IllegalArgumentException(unusable.getMessage(), unusable);
    }
  }
}
