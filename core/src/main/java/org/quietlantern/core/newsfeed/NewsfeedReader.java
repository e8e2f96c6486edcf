package org.quietlantern.core.newsfeed;

import com.rometools.rome.feed.synd.SyndEntry;
import com.rometools.rome.feed.synd.SyndFeed;
import com.rometools.rome.io.FeedException;
import com.rometools.rome.io.SyndFeedInput;
import com.rometools.rome.io.XmlReader;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.quietlantern.core.publication.Text;
import org.quietlantern.core.text.HtmlWords;

/**
 * Reads a feed, whatever its form. Documents with a type declaration are refused: what they could
 * declare would be read for them.
 */
public final class NewsfeedReader {
  /** Bytes of one feed. */
  public static final int LARGEST = 8 * 1024 * 1024;

  private static final int LONGEST_TITLE = 200;

  /** Elements inside of each other; reading deeper ones takes time without end. */
  private static final int DEEPEST = 200;

  private NewsfeedReader() {}

  /**
   * @param type the media type that it was sent with; empty if none was
   */
  public static Newsfeed read(byte[] bytes, String type) throws Newsfeed.Unreadable {
    if (bytes.length > LARGEST) {
      throw new Newsfeed.Unreadable(
          "It is larger than %d MB.".formatted(LARGEST / 1024 / 1024), null);
    }
    if (Nesting.deepest(bytes) > DEEPEST) {
      throw new Newsfeed.Unreadable("It is nested too deeply to be read.", null);
    }
    SyndFeed feed = parsed(bytes, type);
    String title = Text.atMost(LONGEST_TITLE, words(feed.getTitle()));
    List<Newsfeed.Entry> entries = new ArrayList<>();
    Set<String> known = new HashSet<>();
    int left = 0;
    int unread = 0;
    for (SyndEntry entry : feed.getEntries()) {
      Optional<Newsfeed.Entry> one =
          entries.size() == Newsfeed.MOST ? Optional.empty() : EntryAsWork.of(entry, title);
      if (entries.size() == Newsfeed.MOST) {
        left++;
      } else if (one.isEmpty()) {
        unread++;
      } else if (known.add(one.get().id())) {
        entries.add(one.get());
      }
    }
    return new Newsfeed(
        title, EntryAsWork.webAddress(feed.getLink()).orElse(""), entries, left, unread);
  }

  private static SyndFeed parsed(byte[] bytes, String type) throws Newsfeed.Unreadable {
    SyndFeedInput input = new SyndFeedInput(false, Locale.ROOT);
    input.setAllowDoctypes(false);
    try (XmlReader text =
        new XmlReader(
            new ByteArrayInputStream(bytes),
            type.isEmpty() ? null : type,
            true,
            StandardCharsets.UTF_8.name())) {
      return input.build(text);
    } catch (FeedException | IOException | RuntimeException odd) {
      throw new Newsfeed.Unreadable(why(odd), odd);
    }
  }

  private static String why(Exception odd) {
    String said = Objects.toString(odd.getMessage(), "");
    if (said.contains("DOCTYPE")) {
      return "It has a document type declaration, which is not read.";
    }
    return odd instanceof IllegalArgumentException && !said.contains("line")
        ? "This is no feed: neither Atom nor RSS."
        : "It cannot be read as a feed: "
            + Text.atMost(LONGEST_TITLE, said.lines().findFirst().orElse(said));
  }

  static String words(String markup) {
    return markup == null ? "" : HtmlWords.of(markup);
  }
}
