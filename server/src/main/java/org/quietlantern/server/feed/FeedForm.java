package org.quietlantern.server.feed;

import java.util.Arrays;
import java.util.Locale;
import org.springframework.http.MediaType;

/** What a feed is written as; the ending of its address says it. */
enum FeedForm {
  /** RFC 4287. */
  ATOM("application/atom+xml;charset=utf-8"),
  /** RSS 2.0 (RSS Advisory Board, 2.0.11). */
  RSS("application/rss+xml;charset=utf-8"),
  /** JSON Feed 1.1. */
  JSON("application/feed+json");

  private final String type;

  FeedForm(String type) {
    this.type = type;
  }

  /** Of the path of an address; Atom where it has another ending. */
  static FeedForm at(String path) {
    return Arrays.stream(values())
        .filter(form -> path.endsWith(form.ending()))
        .findFirst()
        .orElse(ATOM);
  }

  private String ending() {
    return "." + name().toLowerCase(Locale.ROOT);
  }

  MediaType type() {
    return MediaType.parseMediaType(type);
  }

  /** The address in this form of what has another one in Atom. */
  String of(String address) {
    return address.replaceFirst("\\.atom(?=$|\\?)", ending());
  }

  byte[] write(FeedPage page) {
    return switch (this) {
      case ATOM -> AtomWriter.write(page);
      case RSS -> RssWriter.write(page);
      case JSON -> JsonFeedWriter.write(page);
    };
  }
}
