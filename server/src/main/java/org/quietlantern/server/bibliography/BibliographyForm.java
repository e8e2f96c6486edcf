package org.quietlantern.server.bibliography;

import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import org.quietlantern.core.citation.file.BibliographyDocx;
import org.quietlantern.core.citation.file.BibliographyFile;
import org.quietlantern.core.citation.file.BibliographyHtml;
import org.quietlantern.core.citation.file.BibliographyText;
import org.quietlantern.server.platform.Refusal;

/** Files that a bibliography can be. */
public enum BibliographyForm {
  /** ISO/IEC 29500. */
  DOCX("docx", "docx", "application/vnd.openxmlformats-officedocument.wordprocessingml.document"),
  HTML("html", "html", "text/html; charset=UTF-8"),
  TEXT("text", "txt", "text/plain; charset=UTF-8");

  private final String word;
  private final String ending;
  private final String type;

  BibliographyForm(String word, String ending, String type) {
    this.word = word;
    this.ending = ending;
    this.type = type;
  }

  /** Refused where there is none of that name. */
  public static BibliographyForm named(String word) {
    return Arrays.stream(values())
        .filter(form -> form.word.equals(word))
        .findFirst()
        .orElseThrow(() -> Refusal.unusable("format", "A bibliography is docx, html or text."));
  }

  /** Of its files' names, without a dot. */
  public String ending() {
    return ending;
  }

  /** Media type. */
  public String type() {
    return type;
  }

  public byte[] write(BibliographyFile file) {
    return switch (this) {
      case DOCX -> BibliographyDocx.write(file);
      case HTML -> utf8(BibliographyHtml.document(file));
      case TEXT -> utf8(BibliographyText.write(file));
    };
  }

  private static byte[] utf8(String text) {
    return text.getBytes(StandardCharsets.UTF_8);
  }
}
