package org.quietlantern.standins.corpus;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.quietlantern.standins.print.Document;
import org.quietlantern.standins.print.Document.Block;
import org.quietlantern.standins.print.Document.Heading;
import org.quietlantern.standins.print.Document.Paragraph;
import org.quietlantern.standins.print.PdfWriter;
import org.quietlantern.standins.words.RareWords;
import org.quietlantern.standins.words.Template;

/** Writes the text of one work, as long as its record says it is. */
final class Writing {
  private static final int CHAPTERS = 10;
  private static final int PARTS_OF_A_CHAPTER = 3;
  private final Literature literature;
  private final Work work;
  private final Study study;
  private final RareWords sites;
  private Plates plates;

  Writing(Literature literature, Work work, Study study) {
    this.literature = literature;
    this.work = work;
    this.study = study;
    this.sites = new RareWords(work.number());
    this.plates = new Plates(work.number(), sites);
  }

  Document document() {
    boolean isLong = work.kind().equals("book") || work.kind().equals("thesis");
    return isLong ? longOne() : article();
  }

  /** Parts of results are added until the pages of the record are filled. */
  private Document article() {
    int parts = 0;
    Document document;
    do {
      parts++;
      plates = new Plates(work.number(), sites);
      List<Block> blocks = new ArrayList<>();
      blocks.add(new Heading(1, "Abstract"));
      blocks.add(new Paragraph(work.abstractText()));
      sections(blocks, 0, parts, 1);
      references(blocks);
      document = printed(blocks, false);
    } while (parts < 30 && PdfWriter.pages(document) < work.pages());
    return document;
  }

  /** Chapters, and as many pages of counts behind them as are missing. */
  private Document longOne() {
    List<Block> blocks = new ArrayList<>();
    if (!work.abstractText().isEmpty()) {
      blocks.add(new Heading(1, "Summary"));
      blocks.add(new Paragraph(work.abstractText()));
    }
    for (int chapter = 0; chapter < CHAPTERS; chapter++) {
      String title = prose(chapter, chapter).title("article");
      blocks.add(new Heading(1, (chapter + 1) + " " + title));
      sections(blocks, chapter, PARTS_OF_A_CHAPTER, 2);
    }
    blocks.add(new Heading(1, "References"));
    references(blocks);
    int missing = work.pages() - PdfWriter.pages(printed(blocks, true));
    blocks.add(new Heading(1, "Appendix: all counts"));
    blocks.add(plates.counts(Math.max(20, missing * Document.ROWS_A_PAGE - 4)));
    return printed(blocks, true);
  }

  private Document printed(List<Block> blocks, boolean contents) {
    String by =
        work.authors().stream()
            .map(a -> a.isBody() ? a.family() : a.given() + " " + a.family())
            .collect(Collectors.joining(", "));
    String where =
        work.journal()
            .map(j -> placed(work))
            .orElse(work.container() + ", " + work.date().getYear());
    return new Document(work.title(), by, where, work.doi(), work.firstPage(), contents, blocks);
  }

  private static String placed(Work work) {
    return work.journal()
        .map(
            j ->
                "%s %d, %d–%d (%d)"
                    .formatted(
                        j.titleIn(work.date().getYear()),
                        work.volume(),
                        work.firstPage(),
                        work.lastPage(),
                        work.date().getYear()))
        .orElse(work.container() + " (" + work.date().getYear() + ")");
  }

  private void sections(List<Block> blocks, int chapter, int parts, int level) {
    Prose prose = prose(chapter, 0);
    head(blocks, level, "Introduction");
    paragraph(blocks, prose.say("opening", 3), prose.say("gap", 2));
    paragraph(blocks, prose.say("opening", 2), prose.say("gap", 2), prose.say("aim", 2));
    head(blocks, level, "Methods");
    paragraph(blocks, prose.say("where", 3), prose.say(prose.designName(), 3));
    blocks.add(plates.sites());
    paragraph(blocks, prose.say(prose.designName(), 3), prose.say("measure", 4));
    head(blocks, level, "Results");
    for (int part = 0; part < parts; part++) {
      Prose results = prose(chapter, part);
      if (level == 1) {
        head(blocks, 2, Template.capital(study.turned(part).response().name()));
      }
      paragraph(blocks, results.say("main", 2), results.say("moderate", 2));
      if (part < 2) {
        blocks.add(plates.hours(study.turned(part).response().name()));
      }
      paragraph(blocks, results.say("detail", 3), results.say("moderate", 2));
    }
    head(blocks, level, "Discussion");
    for (int part = 0; part < parts; part++) {
      Prose last = prose(chapter, part + parts);
      paragraph(blocks, last.say("gap", 2), last.say("close", 3));
    }
  }

  private static void head(List<Block> blocks, int level, String text) {
    blocks.add(new Heading(level, text));
  }

  private static void paragraph(List<Block> blocks, String... parts) {
    String text = Stream.of(parts).filter(part -> !part.isEmpty()).collect(Collectors.joining(" "));
    if (!text.isEmpty()) {
      blocks.add(new Paragraph(text));
    }
  }

  private Prose prose(int chapter, int part) {
    Random random = new Random(work.number() * 131L + chapter * 17L + part);
    return new Prose(study.turned(chapter + part), work.date().getYear(), sites, random);
  }

  private void references(List<Block> blocks) {
    if (work.references().isEmpty()) {
      return;
    }
    if (work.journal().isPresent()) {
      blocks.add(new Heading(1, "References"));
    }
    work.references()
        .get()
        .forEach(number -> blocks.add(new Paragraph(reference(literature.work(number)))));
  }

  private static String reference(Work cited) {
    String by =
        cited.authors().stream()
            .limit(6)
            .map(a -> a.isBody() ? a.family() : a.family() + ", " + a.initials())
            .collect(Collectors.joining("; "));
    String more = cited.authors().size() > 6 ? "; and others" : "";
    return "%s%s: %s. %s.".formatted(by, more, cited.title(), placed(cited));
  }
}
