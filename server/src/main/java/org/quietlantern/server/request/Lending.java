package org.quietlantern.server.request;

import java.io.IOException;
import java.net.URI;
import java.time.Instant;
import java.time.format.DateTimeParseException;
import java.util.Map;
import org.quietlantern.core.publication.Text;
import org.quietlantern.server.platform.Json;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Outbound;
import org.springframework.stereotype.Component;

/**
 * Speaks with libraries that lend: a request goes out as an OpenURL in a form, and is looked at
 * where the library says (docs/formats.md).
 */
@Component
class Lending {
  private static final int LONGEST = 100_000;
  private static final int LONGEST_WORDS = 1_000;
  private final Outbound outbound;
  private final Json json;

  /**
   * How a request stands at the library.
   *
   * @param request where it can be looked at
   * @param state {@code received}, {@code asks}, {@code sent}, {@code refused}
   * @param until how long the copy is at {@code link}
   * @param use what it may be used for, in words
   * @param kept whether the group may keep it; so it is unless the library says {@code no}
   */
  record Told(
      String request,
      String state,
      String question,
      String reason,
      String link,
      @Nullable Instant until,
      String use,
      boolean kept) {}

  Lending(Outbound outbound, Json json) {
    this.outbound = outbound;
    this.json = json;
  }

  /** {@code form}: keys and encoded values. */
  Told ask(String address, String form) throws IOException {
    return outbound.post(URI.create(address), form, body -> told(body.readNBytes(LONGEST)));
  }

  Told look(String reference) throws IOException {
    return outbound.get(URI.create(reference), body -> told(body.readNBytes(LONGEST))).value();
  }

  private Told told(byte[] body) throws IOException {
    Map<?, ?> said = read(body);
    String request = word(said, "request");
    String link = word(said, "link");
    if (!Outbound.isWeb(request) || !(link.isEmpty() || Outbound.isWeb(link))) {
      throw new IOException("the library's answer names no address");
    }
    return new Told(
        request,
        word(said, "state"),
        word(said, "question"),
        word(said, "reason"),
        link,
        until(word(said, "until")),
        word(said, "use"),
        !word(said, "kept").equals("no"));
  }

  private Map<?, ?> read(byte[] body) throws IOException {
    try {
      return json.read(new String(body, java.nio.charset.StandardCharsets.UTF_8), Map.class);
    } catch (RuntimeException noJson) {
      throw new IOException("the library's answer cannot be read", noJson);
    }
  }

  private static String word(Map<?, ?> said, String name) {
    return said.get(name) instanceof String text
        ? Text.atMost(LONGEST_WORDS, Text.clean(text))
        : "";
  }

  private static @Nullable Instant until(String text) throws IOException {
    try {
      return text.isEmpty() ? null : Instant.parse(text);
    } catch (DateTimeParseException none) {
      throw new IOException("the library's answer has no date that can be read", none);
    }
  }
}
