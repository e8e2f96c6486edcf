package org.quietlantern.server.platform.settings;

import java.io.IOException;
import java.nio.charset.MalformedInputException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** What an installation is told, complete: what the file does not say is as it is by itself. */
public final class Settings {
  private static final long LONGEST_FILE = 100_000;
  private final Map<Setting, String> values;

  private Settings(Map<Setting, String> values) {
    this.values = values;
  }

  /** A file that cannot be used; each sentence says what is wrong, and where. */
  public static final class Unusable extends Exception {
    private static final long serialVersionUID = 1;
    private final transient List<String> sentences;

    Unusable(List<String> sentences) {
      super(String.join("\n", sentences));
      this.sentences = List.copyOf(sentences);
    }

    public List<String> sentences() {
      return sentences;
    }
  }

  /** All as they are by themselves. */
  public static Settings defaults() {
    Map<Setting, String> values = new EnumMap<>(Setting.class);
    for (Setting setting : Setting.values()) {
      values.put(setting, setting.fallback());
    }
    return new Settings(values);
  }

  /** Those of a file in UTF-8. */
  public static Settings read(Path file) throws Unusable {
    return of(file.getFileName().toString(), lines(file));
  }

  private static List<String> lines(Path file) throws Unusable {
    try {
      if (Files.size(file) > LONGEST_FILE) {
        throw new Unusable(List.of("%s is no file of settings: it is too long.".formatted(file)));
      }
      return Files.readAllLines(file, StandardCharsets.UTF_8);
    } catch (MalformedInputException other) {
      throw new Unusable(List.of("%s is no text in UTF-8.".formatted(file)));
    } catch (IOException unreadable) {
      throw new Unusable(
          List.of("%s cannot be read: %s.".formatted(file, unreadable.getMessage())));
    }
  }

  static Settings of(String name, List<String> lines) throws Unusable {
    Settings settings = defaults();
    List<String> wrong = new ArrayList<>();
    Map<Setting, Integer> at = new EnumMap<>(Setting.class);
    for (int i = 0; i < lines.size(); i++) {
      String line = lines.get(i).strip().replace("\uFEFF", "");
      if (!line.isEmpty() && !line.startsWith("#")) {
        settings.take(line, i + 1, at).ifPresent(wrong::add);
      }
    }
    settings.contradictions(at).forEach(wrong::add);
    if (!wrong.isEmpty()) {
      throw new Unusable(wrong.stream().map(sentence -> name + ", " + sentence).toList());
    }
    return settings;
  }

  private Optional<String> take(String line, int number, Map<Setting, Integer> at) {
    int equals = line.indexOf('=');
    if (equals < 1) {
      return wrong(number, "“%s” is no setting: a name, = and a value.".formatted(line));
    }
    String word = line.substring(0, equals).strip();
    String value = line.substring(equals + 1).strip();
    Optional<Setting> named = Setting.named(word);
    if (named.isEmpty()) {
      String meant = Setting.like(word).map(s -> " Is %s meant?".formatted(s.word())).orElse("");
      return wrong(number, "there is no setting “%s”.%s".formatted(word, meant));
    }
    Setting setting = named.get();
    Integer before = at.putIfAbsent(setting, number);
    if (before != null) {
      return wrong(number, "%s was set in line %d already.".formatted(word, before));
    }
    if (!setting.form().fits(value)) {
      return wrong(
          number, "%s has to be %s; “%s” is not.".formatted(word, setting.form().wanted(), value));
    }
    values.put(setting, value);
    return Optional.empty();
  }

  private static Optional<String> wrong(int line, String what) {
    return Optional.of("line %d: %s".formatted(line, what));
  }

  /** What is right alone and cannot be together. */
  private List<String> contradictions(Map<Setting, Integer> at) {
    List<String> wrong = new ArrayList<>();
    int line = at.values().stream().mapToInt(n -> n).max().orElse(1);
    if (hasOwnDatabase() && get(Setting.PORT).equals(get(Setting.DATABASE_PORT))) {
      wrong.add(
          "line %d: port and database-port are both %s; two cannot listen at one."
              .formatted(at.getOrDefault(Setting.PORT, line), get(Setting.PORT)));
    }
    if (!hasOwnDatabase() && get(Setting.DATABASE_PASSWORD_FILE).isEmpty()) {
      wrong.add(
          "line %d: a database that is not its own needs database-password-file."
              .formatted(at.getOrDefault(Setting.DATABASE, line)));
    }
    return wrong;
  }

  String get(Setting setting) {
    return values.get(setting);
  }

  private boolean hasOwnDatabase() {
    return get(Setting.DATABASE).equals("own");
  }

  /** By name, as the script needs them; {@code memory} worked out for this machine. */
  public Map<String, String> forScript(long machineMemory) {
    Map<String, String> all = new LinkedHashMap<>();
    values.forEach((setting, value) -> all.put(setting.word(), value));
    if (get(Setting.MEMORY).equals("auto")) {
      long quarter = machineMemory / 4 / 1024 / 1024;
      all.put(Setting.MEMORY.word(), Math.max(512, Math.min(8192, quarter)) + "m");
    }
    return all;
  }

  /** Properties of Spring, as arguments of the server. */
  public List<String> arguments() throws Unusable {
    List<String> arguments = new ArrayList<>();
    for (Map.Entry<Setting, String> entry : values.entrySet()) {
      String property = entry.getKey().property();
      String value = entry.getValue();
      boolean own =
          hasOwnDatabase()
              && property.startsWith("spring.datasource.")
              && entry.getKey() != Setting.CONNECTIONS;
      if (!property.isEmpty() && !value.isEmpty() && !own) {
        arguments.add("--" + property + "=" + spoken(entry.getKey(), value));
      }
    }
    if (!get(Setting.PROXIES).isEmpty()) {
      arguments.add("--server.forward-headers-strategy=native");
    }
    return arguments;
  }

  /** As Spring wants it. */
  private static String spoken(Setting setting, String value) throws Unusable {
    return switch (setting.form()) {
      case FILE -> lines(Path.of(value)).stream().findFirst().orElse("").strip();
      case ADDRESSES ->
          Form.parts(value).stream().map(Pattern::quote).collect(Collectors.joining("|"));
      case HOSTS -> String.join(",", Form.parts(value));
      case DATABASE -> "jdbc:postgresql://" + value;
      default -> value;
    };
  }

  /** The file with everything as it is by itself, each explained. */
  public static List<String> example() {
    return Setting.example();
  }
}
