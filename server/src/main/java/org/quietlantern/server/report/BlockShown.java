package org.quietlantern.server.report;

import java.util.List;
import org.quietlantern.core.report.Document;

/**
 * A part of a report as it is read and kept.
 *
 * @param kind heading, paragraph or table; a table has columns and rows, the others a text
 */
record BlockShown(String kind, String text, List<String> columns, List<List<String>> rows) {

  static List<BlockShown> of(Document document) {
    return document.blocks().stream().map(BlockShown::of).toList();
  }

  private static BlockShown of(Document.Block block) {
    if (block instanceof Document.Table table) {
      return new BlockShown("table", "", table.columns(), table.rows());
    }
    return block instanceof Document.Heading heading
        ? new BlockShown("heading", heading.text(), List.of(), List.of())
        : new BlockShown("paragraph", ((Document.Paragraph) block).text(), List.of(), List.of());
  }
}
