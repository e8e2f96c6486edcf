package org.quietlantern.core.citation.file;

import java.util.List;
import java.util.stream.Collectors;
import org.quietlantern.core.annotation.AnnotationText;
import org.quietlantern.core.citation.csl.Block;
import org.quietlantern.core.citation.csl.EntryLayout;
import org.quietlantern.core.citation.csl.Run;

/**
 * A bibliography, before it is written in a format.
 *
 * @param stated style, order and day in a sentence; empty for none
 * @param parts in their order
 */
public record BibliographyFile(String title, String stated, EntryLayout layout, List<Part> parts) {
  public BibliographyFile {
    parts = List.copyOf(parts);
  }

  /** Something in a bibliography. */
  public sealed interface Part {}

  /** Above a group of entries. */
  public record Heading(String text) implements Part {}

  /** A work. */
  public record Entry(List<Block> blocks) implements Part {
    public Entry {
      blocks = List.copyOf(blocks);
    }

    /** Whether something stands in the margin beside it. */
    boolean isNumbered() {
      return blocks.stream().anyMatch(block -> block.display() == Block.Display.LEFT_MARGIN);
    }
  }

  /** A paragraph that is said of the work above. */
  public record Annotation(List<Run> runs) implements Part {
    public Annotation {
      runs = List.copyOf(runs);
    }

    public static Annotation of(AnnotationText.Paragraph paragraph) {
      return new Annotation(
          paragraph.words().stream()
              .map(
                  words ->
                      new Run(words.text(), words.emphasised() ? Run.Look.ITALIC : Run.Look.PLAIN))
              .toList());
    }

    /** In one look, {@code text}. */
    public static Annotation plain(String text) {
      return new Annotation(List.of(new Run(text, Run.Look.PLAIN)));
    }

    public String text() {
      return runs.stream().map(Run::text).collect(Collectors.joining());
    }
  }
}
