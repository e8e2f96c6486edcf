package org.quietlantern.server.platform.settings;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.quietlantern.core.publication.Distance;

/** Everything that can be set, in the order in which it is explained. */
enum Setting {
  ADDRESS(
      "127.0.0.1",
      Form.HOST,
      "server.address",
      "The address to listen at. Others than this machine come by way of a proxy with TLS."),
  PORT("8080", Form.PORT, "server.port", "The port to listen at."),
  BASE_URL(
      "http://localhost:8080",
      Form.URL,
      "lantern.base-url",
      "How people reach it. Stable links and feeds begin with it, so it should last."),
  PROXIES(
      "",
      Form.ADDRESSES,
      "server.tomcat.remoteip.internal-proxies",
      "Addresses of proxies that are believed when they say who asks, with commas."),
  DATA(
      "/var/lib/quiet-lantern",
      Form.FOLDER,
      "lantern.data",
      "The folder of the index, the keys, and the database if it is its own."),
  DATABASE(
      "own",
      Form.DATABASE,
      "spring.datasource.url",
      "own: a PostgreSQL cluster in the data folder, started with it. Or HOST:PORT/NAME of one"
          + " that is there."),
  DATABASE_PORT("15432", Form.PORT, "", "The port of its own cluster, on loopback."),
  DATABASE_USER("app", Form.NAME, "spring.datasource.username", "Who it is in the database."),
  DATABASE_PASSWORD_FILE(
      "",
      Form.FILE,
      "spring.datasource.password",
      "The file with the password for a database that is not its own; its first line counts."),
  CONNECTIONS(
      "10", Form.COUNT, "spring.datasource.hikari.maximum-pool-size", "Connections to it at once."),
  BACKUPS(
      "",
      Form.FOLDER_OR_NONE,
      "",
      "The folder of copies; empty: backups in the data folder. Another disk is better."),
  BACKUP_HOUR(
      "2", Form.HOUR, "", "At which hour of UTC a copy is made every day, from 0 to 23; or never."),
  BACKUPS_KEPT("7", Form.COPIES, "", "How many copies are kept, the newest."),
  MEMORY(
      "auto",
      Form.MEMORY,
      "",
      "What the server takes for itself, like 700m or 2g. auto: a quarter of the machine's, at"
          + " least 512m and at most 8g."),
  SEARCH_TIME("20s", Form.DURATION, "lantern.search-time", "After which a search is given up."),
  OUTBOUND_TIME(
      "2m",
      Form.DURATION,
      "lantern.outbound-time",
      "After which an answer of a source is given up."),
  OUTBOUND_ALLOWED(
      "",
      Form.HOSTS,
      "lantern.outbound-allowed",
      "Hosts that may be fetched although their addresses are not public, with commas: a source in"
          + " the same house."),
  MAIL_SERVER(
      "",
      Form.PLACE_OR_NONE,
      "lantern.mail.server",
      "The mail server that letters are handed to, as HOST:PORT; without one nobody can be asked"
          + " into a group."),
  MAIL_SECURITY(
      "starttls",
      Form.MAIL_SECURITY,
      "lantern.mail.security",
      "How talking to it is kept from others: starttls, tls from the first byte, or none on one"
          + " machine."),
  MAIL_USER("", Form.ANYTHING, "lantern.mail.user", "Who it is there; empty: nobody asks."),
  MAIL_PASSWORD_FILE("", Form.FILE, "lantern.mail.password", "The file with that one's password."),
  MAIL_FROM(
      "lantern@localhost",
      Form.MAIL_ADDRESS,
      "lantern.mail.from",
      "The address that letters come from."),
  MAIL_RETURNS(
      "",
      Form.FOLDER_OR_NONE,
      "lantern.mail.returns",
      "The Maildir into which your mail server delivers what comes back to that address; without one"
          + " only what it refuses at once is known."),
  FIGURES_TOKEN_FILE(
      "",
      Form.FILE,
      "lantern.figures-token",
      "The file with the token by which Prometheus reads /manage/prometheus; nobody does without."),
  SECRET_FILE(
      "",
      Form.FILE,
      "lantern.secret",
      "The file with the secret that seals others. Two servers on one database need the same; one"
          + " alone makes its own in the data folder.");

  private final String fallback;
  private final Form form;
  private final String property;
  private final String meaning;

  Setting(String fallback, Form form, String property, String meaning) {
    this.fallback = fallback;
    this.form = form;
    this.property = property;
    this.meaning = meaning;
  }

  /** As it is written in the file. */
  String word() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  static Optional<Setting> named(String word) {
    return Arrays.stream(values()).filter(setting -> setting.word().equals(word)).findFirst();
  }

  /** The one whose name is most like a word that names none. */
  static Optional<Setting> like(String word) {
    return Arrays.stream(values())
        .filter(setting -> Distance.within(setting.word(), word, 2))
        .findFirst();
  }

  String fallback() {
    return fallback;
  }

  Form form() {
    return form;
  }

  /** The property of Spring that it becomes; empty for what only the script needs. */
  String property() {
    return property;
  }

  /** What it is, in whole sentences. */
  String meaning() {
    return meaning;
  }

  /** The file with all defaults, each explained. */
  static List<String> example() {
    return Arrays.stream(values())
        .flatMap(
            setting ->
                List.of("# " + setting.meaning, "#" + setting.word() + " = " + setting.fallback, "")
                    .stream())
        .toList();
  }
}
