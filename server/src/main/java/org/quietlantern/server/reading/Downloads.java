package org.quietlantern.server.reading;

import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.quietlantern.core.publication.PersonName;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.web.Attachment;
import org.springframework.core.io.Resource;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Files of texts to take along, named by whose, of which year and by their first words. */
@Service
class Downloads {
  private static final int WORDS = 6;
  private final TextMapper mapper;
  private final GroupTexts texts;

  /** {@code type}: its media type. */
  record Download(String name, String type, Resource file) {}

  Downloads(TextMapper mapper, GroupTexts texts) {
    this.mapper = mapper;
    this.texts = texts;
  }

  @Transactional(readOnly = true)
  public Download of(Member who, String text) {
    TextMapper.Row row = texts.row(who, text);
    Publication publication = texts.work(who, row).publication();
    boolean isPdf = row.form().equals("pdf");
    return new Download(
        Attachment.name(name(publication), row.form()),
        // A page of others is never one of ours.
        isPdf ? "application/pdf" : "application/octet-stream",
        new TextFile(mapper, row));
  }

  private static String name(Publication publication) {
    String family = publication.authors().stream().findFirst().map(PersonName::family).orElse("");
    String year = publication.date().map(date -> Integer.toString(date.year())).orElse("");
    String words =
        Stream.of(publication.title().split(" ")).limit(WORDS).collect(Collectors.joining(" "));
    return String.join(" ", family, year, words);
  }
}
