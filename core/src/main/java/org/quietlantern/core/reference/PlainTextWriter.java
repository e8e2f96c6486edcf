package org.quietlantern.core.reference;

import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.quietlantern.core.citation.PlainCitation;
import org.quietlantern.core.publication.Publication;

/** Writes a list to be read: a citation in no journal's style, and below it what was said. */
public final class PlainTextWriter implements ReferenceWriter {
  private final Included included;

  public PlainTextWriter(Included included) {
    this.included = included;
  }

  @Override
  public String between() {
    return "\n";
  }

  @Override
  public String end(int entries) {
    return "\n%,d %s\n".formatted(entries, entries == 1 ? "work" : "works");
  }

  @Override
  public String entry(Reference reference) {
    Publication work = reference.work();
    List<String> words = included.keywords() ? Keywords.of(work) : List.of();
    return Stream.of(
            Stream.of(PlainCitation.of(work), included.links() ? reference.link() : ""),
            Stream.of(words.isEmpty() ? "" : "Keywords: " + String.join("; ", words)),
            reference.notes().stream(),
            Stream.of(reference.annotation(), included.abstracts() ? work.abstractText() : ""))
        .flatMap(lines -> lines)
        .filter(line -> !line.isBlank())
        .map(line -> line.replaceAll("\\s+", " ").strip() + "\n")
        .collect(Collectors.joining());
  }
}
