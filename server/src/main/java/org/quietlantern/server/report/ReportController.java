package org.quietlantern.server.report;

import java.util.List;
import org.quietlantern.core.report.Document;
import org.quietlantern.core.report.DocxWriter;
import org.quietlantern.core.report.TextWriter;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.web.Attachment;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/groups/{group}/report")
class ReportController {
  private static final String DOCX =
      "application/vnd.openxmlformats-officedocument.wordprocessingml.document";
  private final Reports reports;

  /** A report as it is printed. */
  record ReportShown(String title, List<BlockShown> blocks) {}

  /** {@code kind}: heading, paragraph or table; a table has columns and rows, the others a text. */
  record BlockShown(String kind, String text, List<String> columns, List<List<String>> rows) {
    static BlockShown of(Document.Block block) {
      if (block instanceof Document.Table table) {
        return new BlockShown("table", "", table.columns(), table.rows());
      }
      return block instanceof Document.Heading heading
          ? new BlockShown("heading", heading.text(), List.of(), List.of())
          : new BlockShown("paragraph", ((Document.Paragraph) block).text(), List.of(), List.of());
    }
  }

  ReportController(Reports reports) {
    this.reports = reports;
  }

  /** The report on a strategy, named as in lines that hold it. */
  @GetMapping
  ReportShown report(Member me, @RequestParam String of) {
    Document document = reports.of(me, of).document();
    return new ReportShown(
        document.title(), document.blocks().stream().map(BlockShown::of).toList());
  }

  @GetMapping(value = "/text", produces = "text/plain;charset=UTF-8")
  ResponseEntity<byte[]> text(Member me, @RequestParam String of) {
    return Attachment.of("report.txt", TextWriter.write(reports.of(me, of).document()));
  }

  @GetMapping(value = "/docx", produces = DOCX)
  ResponseEntity<byte[]> docx(Member me, @RequestParam String of) {
    return Attachment.of("report.docx", DocxWriter.write(reports.of(me, of).document()));
  }
}
