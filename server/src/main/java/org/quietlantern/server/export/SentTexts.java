package org.quietlantern.server.export;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.quietlantern.server.catalogue.StoredPublication;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.reading.Downloads.Download;
import org.quietlantern.server.reading.TextsToSend;
import org.springframework.stereotype.Component;

/** Which texts go along with a letter: where the licence lets them, and as many as it takes. */
@Component
class SentTexts {
  /** Bytes of one letter, before they are written as letters of mail, which makes a third more. */
  private static final long MOST = 10_000_000;

  private static final String NONE = "The group has no text of it.";
  private static final String TOO_LARGE =
      "Its text (%,d KB) would make the letter too large; it takes 10 MB.";
  private final TextsToSend texts;

  /**
   * @param file that goes along; absent where none does
   * @param name that it has in the letter
   * @param why none goes along; empty where one does
   */
  record SentText(
      int work,
      String publication,
      String title,
      @Nullable Download file,
      String name,
      int size,
      String why) {
    boolean goes() {
      return file != null;
    }
  }

  SentTexts(TextsToSend texts) {
    this.texts = texts;
  }

  /** Of the works that a letter lists, in their order. */
  List<SentText> of(Member who, List<StoredPublication> works) {
    Map<Integer, TextsToSend.TextToSend> known = texts.of(who, works);
    List<SentText> all = new ArrayList<>();
    Set<String> names = new HashSet<>();
    long room = MOST;
    for (StoredPublication work : works) {
      TextsToSend.TextToSend text = known.get(work.id());
      String why = text == null ? NONE : text.why();
      if (text != null && text.file() != null && text.size() > room) {
        why = TOO_LARGE.formatted(text.size() / 1_000);
      }
      boolean goes = why.isEmpty();
      if (goes) {
        room -= text.size();
      }
      all.add(
          new SentText(
              work.id(),
              work.pid(),
              work.publication().title(),
              goes ? text.file() : null,
              goes ? unlike(names, text.file().name()) : "",
              goes ? text.size() : 0,
              why));
    }
    return all;
  }

  /** Two works of one author and year may begin alike. */
  private static String unlike(Set<String> names, String name) {
    String free = name;
    for (int n = 2; !names.add(free); n++) {
      free = name.replaceFirst("(\\.\\w+)$", "-" + n + "$1");
    }
    return free;
  }
}
