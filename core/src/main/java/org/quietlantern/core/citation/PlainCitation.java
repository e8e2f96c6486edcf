package org.quietlantern.core.citation;

import java.util.List;
import java.util.stream.Collectors;
import org.quietlantern.core.publication.Host;
import org.quietlantern.core.publication.PersonName;
import org.quietlantern.core.publication.Publication;

/** A readable reference in no journal's style: who (when) what. Where. */
public final class PlainCitation {
  private static final int MOST_AUTHORS = 8;

  private PlainCitation() {}

  public static String of(Publication publication) {
    StringBuilder text = new StringBuilder(authors(publication.authors()));
    text.append(text.length() > 0 ? " " : "");
    text.append(publication.citedYear().map(year -> "(" + year + "). ").orElse("(no date). "));
    text.append(ended(publication.title()));
    String where = where(publication);
    text.append(where.isEmpty() ? "" : " " + ended(where));
    text.append(publication.doi().isEmpty() ? "" : " doi:" + publication.doi());
    return text.toString();
  }

  private static String authors(List<PersonName> authors) {
    if (authors.size() > MOST_AUTHORS) {
      return authors.get(0).sorted() + " and " + (authors.size() - 1) + " others";
    }
    List<String> names = authors.stream().map(PersonName::sorted).toList();
    if (names.size() < 2) {
      return String.join("", names);
    }
    int last = names.size() - 1;
    return String.join("; ", names.subList(0, last)) + " and " + names.get(last);
  }

  private static String where(Publication publication) {
    Host host = publication.host();
    if (!host.isKnown()) {
      return publication.publisher();
    }
    String volume = host.volume() + (host.issue().isEmpty() ? "" : "(" + host.issue() + ")");
    return List.of(host.title() + (volume.isEmpty() ? "" : " " + volume), host.pages("–")).stream()
        .filter(part -> !part.isEmpty())
        .collect(Collectors.joining(", "));
  }

  private static String ended(String sentence) {
    return sentence.matches(".*[.!?]$") ? sentence : sentence + ".";
  }
}
