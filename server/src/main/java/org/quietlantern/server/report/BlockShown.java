package org.quietlantern.server.report;

import java.util.ArrayList;
import java.util.List;
import org.quietlantern.core.report.Document;

/**
 * A part of a report as it is read and kept.
 *
 * @param kind heading, paragraph or table; a table has columns and rows, the others a text
 */
record BlockShown(String kind, String text, List<String> columns, List<List<String>> rows) {

  static List<BlockShown> of(Document document) {
    List<BlockShown> shown = new ArrayList<>();
    document.writeTo(
        new Document.Writer() {
          @Override
          public void heading(String text) {
            shown.add(new BlockShown("heading", text, List.of(), List.of()));
          }

          @Override
          public void paragraph(String text) {
            shown.add(new BlockShown("paragraph", text, List.of(), List.of()));
          }

          @Override
          public void table(Document.Table table) {
            shown.add(new BlockShown("table", "", table.columns(), table.rows()));
          }
        });
    return shown;
  }
}
