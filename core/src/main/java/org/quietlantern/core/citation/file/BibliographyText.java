package org.quietlantern.core.citation.file;

import java.util.List;
import java.util.stream.Collectors;
import org.quietlantern.core.citation.csl.Block;

/**
 * A bibliography as plain text: an entry a paragraph, a number and a tab before what it numbers.
 */
public final class BibliographyText {
  private BibliographyText() {}

  public static String write(BibliographyFile file) {
    StringBuilder text = new StringBuilder(file.title()).append('\n');
    if (!file.stated().isEmpty()) {
      text.append(file.stated()).append('\n');
    }
    for (BibliographyFile.Part part : file.parts()) {
      text.append('\n').append(words(part)).append('\n');
    }
    return text.toString();
  }

  /** What stands below the title, a line each. */
  public static String entries(BibliographyFile file) {
    return file.parts().stream().map(BibliographyText::words).collect(Collectors.joining("\n"));
  }

  private static String words(BibliographyFile.Part part) {
    if (part instanceof BibliographyFile.Heading heading) {
      return heading.text();
    }
    return part instanceof BibliographyFile.Annotation annotation
        ? "    " + annotation.text()
        : entry(((BibliographyFile.Entry) part).blocks());
  }

  /** One entry, without a line's end. */
  private static String entry(List<Block> blocks) {
    StringBuilder text = new StringBuilder();
    for (Block block : blocks) {
      switch (block.display()) {
        case LEFT_MARGIN -> text.append(block.plain().strip()).append('\t');
        case BLOCK, INDENT -> {
          text.append(text.length() == 0 ? "" : "\n");
          text.append(block.display() == Block.Display.INDENT ? "    " : "");
          text.append(block.plain().strip());
        }
        default -> text.append(text.length() == 0 ? block.plain().stripLeading() : block.plain());
      }
    }
    return text.toString().stripTrailing();
  }
}
