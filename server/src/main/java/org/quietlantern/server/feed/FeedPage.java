package org.quietlantern.server.feed;

import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.quietlantern.core.citation.PlainCitation;
import org.quietlantern.core.publication.HeadingUse;
import org.quietlantern.core.publication.PersonName;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.core.publication.Relations;
import org.quietlantern.server.platform.Nullable;

/**
 * A page of a feed before it is written. Addresses are those of its Atom form.
 *
 * @param subtitle what it is, in a sentence
 * @param author who makes it, as RFC 4287 (4.1.1) asks for
 * @param place where it stands among others
 * @param alternate where people read of it
 * @param updated when its last round closed or something in it changed, or when it was made
 */
public record FeedPage(
    String id,
    String title,
    String subtitle,
    String author,
    Place place,
    String alternate,
    Instant updated,
    List<Entry> entries) {
  private static final String CLASS = "urn:quietlantern:class";
  private static final String NOTICE = "urn:quietlantern:notice";
  private static final String HEADING = "urn:quietlantern:heading";

  /**
   * Addresses of pages.
   *
   * @param self of this one
   * @param first of the first, to which readers subscribe
   * @param next of the one after it; none behind the last (RFC 5005, 3)
   * @param archives where it has parts that stay as they are
   */
  public record Place(
      String self, String first, @Nullable String next, @Nullable Archives archives) {}

  /**
   * Parts that stay as they are (RFC 5005, 4).
   *
   * @param isOne whether this page is one of them
   * @param before the address of the one before; of the first page: the latest
   */
  public record Archives(boolean isOne, @Nullable String before, @Nullable String after) {}

  /** What something is, in a set of terms that {@code scheme} names. */
  public record Category(String scheme, String term, String label) {}

  /**
   * Something that is told.
   *
   * @param related another address of it; absent for none
   * @param updated when its round closed or it was kept, or what is told of it last changed
   */
  public record Entry(
      String id,
      String title,
      List<String> authors,
      String link,
      @Nullable String related,
      List<Category> categories,
      String summary,
      Instant published,
      Instant updated) {

    /**
     * One publication.
     *
     * @param abstractText may be empty, where it is not to be shown
     * @param newClass why it is news; absent where that is not told
     * @param said what the group has to say of it; may be empty
     */
    public static Entry of(
        String id,
        Publication publication,
        String abstractText,
        String link,
        @Nullable String newClass,
        String said,
        Instant published,
        Instant updated) {
      List<Category> categories = new ArrayList<>();
      if (newClass != null) {
        categories.add(new Category(CLASS, newClass, newClass));
      }
      for (Relations.Notice notice : publication.relations().notices()) {
        categories.add(new Category(NOTICE, notice.kind(), notice.kind()));
      }
      for (HeadingUse heading : publication.headings()) {
        categories.add(new Category(HEADING, heading.uri(), heading.label()));
      }
      return new Entry(
          id,
          publication.title(),
          publication.authors().stream().map(PersonName::spoken).toList(),
          link,
          publication.doi().isEmpty() ? null : "https://doi.org/" + publication.doi(),
          categories,
          summary(publication, said, abstractText),
          published,
          updated);
    }

    private static String summary(Publication publication, String said, String abstractText) {
      StringBuilder summary = new StringBuilder();
      for (Relations.Notice notice : publication.relations().notices()) {
        summary.append("This has a ").append(notice.kind());
        summary.append(notice.doi().isEmpty() ? "" : ", doi:" + notice.doi()).append(".\n\n");
      }
      summary.append(PlainCitation.of(publication));
      if (!said.isEmpty()) {
        summary.append("\n\n").append(said);
      }
      if (!abstractText.isEmpty()) {
        summary.append("\n\n").append(abstractText);
      }
      return summary.toString();
    }
  }

  /** The same name in the same installation gives the same id, wherever the server moves. */
  public static String id(String installation, String name) {
    byte[] bytes = (installation + "/" + name).getBytes(StandardCharsets.UTF_8);
    return "urn:uuid:" + UUID.nameUUIDFromBytes(bytes);
  }
}
