package org.quietlantern.server.feed;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Nullable;

/** Something that a member can follow by a feed of their own. {@code of}: which one of its kind. */
interface FeedSource {
  /** The word before the colon: {@code alert}, {@code folder}. */
  String kind();

  /** Of each its name, and its page below the group's address, also where it is gone. */
  Map<String, Named> named(Member who, List<String> of);

  record Named(String name, String place) {}

  /** One that is alone of its kind: nothing says which one. */
  interface Alone extends FeedSource {
    Named itself();

    @Override
    default Map<String, Named> named(Member who, List<String> of) {
      return Map.of("", itself());
    }
  }

  /** Whether it is days of a calendar, and no feed of works. */
  default boolean isCalendar() {
    return false;
  }

  /**
   * What is told of it, the latest first. Refused where there is no such thing, or the member sees
   * it no more.
   *
   * @param before the page after an entry; 0: the first page
   */
  Thing read(Member who, String of, int before, int most);

  /**
   * A part of it that has all it will ever have, for readers that were off for long; empty where
   * there is none of that name, or where such a thing has no parts.
   *
   * @param archive its name; empty: the latest
   */
  default Optional<Archive> archive(Member who, String of, String archive) {
    return Optional.empty();
  }

  /** {@code before} and {@code after}: names of those beside it, where there are any. */
  record Archive(String name, @Nullable String before, @Nullable String after, Thing thing) {}

  /**
   * @param says what the feed tells, in a sentence
   * @param ended when that ended; none: it goes on
   */
  record Thing(String says, @Nullable Instant ended, List<Told> told) {}

  /**
   * A publication, as it is told.
   *
   * @param id for the page after it
   * @param key names the entry in the installation, for ever
   * @param newClass why it is news; absent where that is not told
   * @param why as a sentence; may be empty
   * @param came when it came; {@code told}: when it was told, where that is later
   * @param changed when the publication last changed in the catalogue
   */
  record Told(
      int id,
      String key,
      int publication,
      @Nullable String newClass,
      String why,
      Instant came,
      Instant told,
      @Nullable Instant changed) {

    /** When it was told, or what is told of it last changed. */
    Instant updated() {
      return changed != null && changed.isAfter(told) ? changed : told;
    }
  }
}
