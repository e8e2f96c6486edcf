package org.quietlantern.core.citation.file;

import java.util.List;
import org.quietlantern.core.citation.csl.Block;
import org.quietlantern.core.citation.csl.EntryLayout;

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
  public record Annotation(String text) implements Part {}
}
