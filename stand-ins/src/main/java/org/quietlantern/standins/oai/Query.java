package org.quietlantern.standins.oai;

import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.format.DateTimeParseException;
import java.util.Base64;
import java.util.Map;

/**
 * What a list request asks for. {@code after} and {@code afterIdentifier} are the place reached by
 * the pages before; a resumption token is all of this written down, so that the server keeps
 * nothing.
 */
record Query(
    String format,
    Instant from,
    Instant until,
    Instant after,
    String afterIdentifier,
    int cursor,
    boolean isRepeated) {
  private static final Instant FIRST = Instant.parse("0001-01-01T00:00:00Z");
  private static final Instant LAST = Instant.parse("9999-12-31T23:59:59Z");

  static Query of(Map<String, String> arguments) {
    String token = arguments.get("resumptionToken");
    if (token != null) {
      if (arguments.size() > 2) {
        throw new OaiError("badArgument", "resumptionToken is exclusive");
      }
      return read(token);
    }
    if (!arguments.containsKey("metadataPrefix")) {
      throw new OaiError("badArgument", "metadataPrefix is missing");
    }
    Instant from = moment(arguments.get("from"), false, FIRST);
    Instant until = moment(arguments.get("until"), true, LAST);
    if (from.isAfter(until)) {
      throw new OaiError("badArgument", "from is later than until");
    }
    return new Query(arguments.get("metadataPrefix"), from, until, FIRST, "", 0, false);
  }

  /** OAI-PMH 2.0, 2.7.1: days, or seconds in UTC; {@code until} of a day is its end. */
  private static Instant moment(String text, boolean end, Instant otherwise) {
    if (text == null) {
      return otherwise;
    }
    try {
      if (text.length() == 10) {
        LocalDate day = LocalDate.parse(text);
        Instant start = day.atStartOfDay(ZoneOffset.UTC).toInstant();
        return end ? start.plusSeconds(86_399) : start;
      }
      return Instant.parse(text);
    } catch (DateTimeParseException bad) {
      throw new OaiError("badArgument", "not a date: " + text);
    }
  }

  Query next(Instant lastFrom, String lastIdentifier, int shown) {
    return new Query(format, from, until, lastFrom, lastIdentifier, cursor + shown, false);
  }

  /** The same once more: a source that repeats its pages asks for this. */
  Query repeated() {
    return new Query(format, from, until, after, afterIdentifier, cursor, true);
  }

  String token() {
    String plain =
        String.join(
            "|",
            format,
            from.toString(),
            until.toString(),
            after.toString(),
            afterIdentifier,
            Integer.toString(cursor),
            Boolean.toString(isRepeated));
    return Base64.getUrlEncoder()
        .withoutPadding()
        .encodeToString(plain.getBytes(StandardCharsets.UTF_8));
  }

  private static Query read(String token) {
    try {
      String[] parts =
          new String(Base64.getUrlDecoder().decode(token), StandardCharsets.UTF_8).split("\\|");
      return new Query(
          parts[0],
          Instant.parse(parts[1]),
          Instant.parse(parts[2]),
          Instant.parse(parts[3]),
          parts[4],
          Integer.parseInt(parts[5]),
          Boolean.parseBoolean(parts[6]));
    } catch (IllegalArgumentException | DateTimeParseException | IndexOutOfBoundsException bad) {
      throw new OaiError("badResumptionToken", "not a token of this source");
    }
  }
}
