package org.quietlantern.server.link;

import com.samskivert.mustache.Mustache;
import com.samskivert.mustache.Template;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.quietlantern.core.citation.PlainCitation;
import org.quietlantern.core.publication.PersonName;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.core.publication.Relations;
import org.quietlantern.server.catalogue.StoredPublication;
import org.quietlantern.server.platform.LanternProperties;
import org.springframework.stereotype.Component;

/**
 * What anybody sees behind a stable link: the citation, and metadata for programs in the head
 * (Dublin Core in HTML, DCMI 2008-08-04). Nothing of any group but the citations of a folder that
 * it opened. The pages are templates in {@code resources/pages}; whatever is put into them is
 * escaped.
 */
@Component
public class PublicPage {
  private static final Mustache.Compiler PAGES =
      Mustache.compiler().escapeHTML(true).strictSections(true).withLoader(PublicPage::file);
  private static final Template PUBLICATION = page("publication");
  private static final Template MISTYPED = page("mistyped");
  private static final Template UNKNOWN = page("unknown");
  private static final Template FOLDER = page("folder");
  private static final Template BIBLIOGRAPHY = page("bibliography");
  private static final Template REVOKED = page("revoked");
  private static final Template LETTERS = page("letters");

  private final String baseUrl;

  /** What the page of a publication is made of; {@code abstracts}: one, or none. */
  record Shown(
      String heading,
      String address,
      String pid,
      boolean withdrawn,
      List<Metadata> metadata,
      List<Notice> notices,
      String citation,
      List<String> abstracts) {}

  record Metadata(String name, String content) {}

  record Notice(String what, String date, String doi) {
    static Notice of(Relations.Notice notice) {
      return new Notice(capital(notice.kind()), notice.date(), notice.doi());
    }
  }

  record Mistyped(String heading, String typed) {}

  record Unknown(String heading) {}

  /** {@code links}: its stable link, or none where only a group has it. */
  public record CitationShown(String citation, List<String> links) {}

  /**
   * A page of a folder that is open by its address.
   *
   * @param bibliography the address where all of it is cited
   * @param publications how many there are, in words
   * @param first the address of the first page, where this is another one
   * @param next the address of the next page, where there is one
   */
  public record FolderShown(
      String heading,
      String feed,
      String bibliography,
      String publications,
      List<CitationShown> citations,
      List<String> first,
      List<String> next) {}

  /**
   * A folder that is open by its address, as it is cited.
   *
   * @param stated style, order and day
   * @param entries HTML that was made of text
   * @param list the address of the folder
   */
  public record BibliographyShown(String heading, String stated, String entries, String list) {}

  /**
   * Where letters are stopped without signing in.
   *
   * @param says what will be, or was, done
   * @param stopped whether it was
   * @param act what the button says
   */
  public record LettersShown(String heading, String says, boolean stopped, String act) {}

  PublicPage(LanternProperties properties) {
    this.baseUrl = properties.baseUrl();
  }

  /** {@code withAbstract}: whether a source lets it be shown to anyone (rule K3). */
  String publication(StoredPublication stored, boolean withAbstract) {
    Publication publication = stored.publication();
    String text = publication.abstractText();
    return PUBLICATION.execute(
        new Shown(
            publication.title(),
            baseUrl + "/p/" + stored.pid(),
            stored.pid(),
            stored.withdrawn(),
            metadata(publication),
            publication.relations().notices().stream().map(Notice::of).toList(),
            PlainCitation.of(publication),
            withAbstract && !text.isEmpty() ? List.of(text) : List.of()));
  }

  String mistyped(String typed) {
    return MISTYPED.execute(new Mistyped("This link is mistyped", typed));
  }

  /** For whoever has the address of a folder. */
  public String folder(FolderShown folder) {
    return FOLDER.execute(folder);
  }

  /** Likewise, as a bibliography. */
  public String bibliography(BibliographyShown bibliography) {
    return BIBLIOGRAPHY.execute(bibliography);
  }

  public String letters(LettersShown letters) {
    return LETTERS.execute(letters);
  }

  public String revoked() {
    return REVOKED.execute(new Unknown("This address was revoked"));
  }

  public String unknown() {
    return UNKNOWN.execute(new Unknown("There is nothing at this address"));
  }

  private static String capital(String word) {
    return word.isEmpty()
        ? "Notice"
        : word.substring(0, 1).toUpperCase(Locale.ROOT) + word.substring(1);
  }

  private static List<Metadata> metadata(Publication publication) {
    List<Metadata> tags = new ArrayList<>();
    tags.add(new Metadata("DC.title", publication.title()));
    publication.authors().stream()
        .map(PersonName::sorted)
        .forEach(name -> tags.add(new Metadata("DC.creator", name)));
    publication.date().ifPresent(date -> tags.add(new Metadata("DC.date", date.toString())));
    tags.add(new Metadata("DC.publisher", publication.publisher()));
    tags.add(new Metadata("DC.language", publication.language()));
    tags.add(new Metadata("DC.source", publication.host().title()));
    if (!publication.doi().isEmpty()) {
      tags.add(new Metadata("DC.identifier", "doi:" + publication.doi()));
    }
    return tags.stream().filter(tag -> !tag.content().isEmpty()).toList();
  }

  private static Template page(String name) {
    try (Reader page = file(name)) {
      return PAGES.compile(page);
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
  }

  private static Reader file(String name) {
    InputStream page = PublicPage.class.getResourceAsStream("/pages/" + name + ".html");
    if (page == null) {
      throw new IllegalStateException("there is no page " + name);
    }
    return new InputStreamReader(page, StandardCharsets.UTF_8);
  }
}
