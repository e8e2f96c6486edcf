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

  ReportController(Reports reports) {
    this.reports = reports;
  }

  /** The report of that name: of a strategy as lines hold it, or another. */
  @GetMapping
  ReportShown report(Member me, @RequestParam String of) {
    Document document = reports.of(me, of);
    return new ReportShown(document.title(), BlockShown.of(document));
  }

  /** A written report as text. */
  @GetMapping(value = "/text", produces = "text/plain;charset=UTF-8")
  ResponseEntity<byte[]> text(Member me, @RequestParam String of) {
    Document report = reports.of(me, of);
    return Attachment.of(Attachment.name(report.title(), "txt"), TextWriter.write(report));
  }

  /** A written report as DOCX (ISO/IEC 29500). */
  @GetMapping(value = "/docx", produces = DOCX)
  ResponseEntity<byte[]> docx(Member me, @RequestParam String of) {
    Document report = reports.of(me, of);
    return Attachment.of(Attachment.name(report.title(), "docx"), DocxWriter.write(report));
  }
}
