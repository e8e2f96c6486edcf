package org.quietlantern.standins.corpus;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.quietlantern.standins.print.Chart;
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
  private static final List<String> HOURS = List.of("20", "21", "22", "23", "0", "1", "2", "3");
  private final Literature literature;
  private final Work work;
  private final Study study;
  private final RareWords sites;
  private int figures;
  private int tables;

  Writing(Literature literature, Work work, Study study) {
    this.literature = literature;
    this.work = work;
    this.study = study;
    this.sites = new RareWords(work.number());
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
      figures = 0;
      tables = 0;
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
    blocks.add(counts(Math.max(20, missing * Document.ROWS_A_PAGE - 4)));
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
    say(blocks, prose, "opening", 3, "gap", 2);
    say(blocks, prose, "opening", 2, "gap", 2, "aim", 2);
    head(blocks, level, "Methods");
    say(blocks, prose, "where", 3, prose.designName(), 3);
    blocks.add(sitesTable());
    say(blocks, prose, prose.designName(), 3, "measure", 4);
    head(blocks, level, "Results");
    for (int part = 0; part < parts; part++) {
      Prose results = prose(chapter, part);
      if (level == 1) {
        head(blocks, 2, Template.capital(variant(part).response().name()));
      }
      say(blocks, results, "main", 2, "moderate", 2);
      if (part < 2) {
        blocks.add(figure(part));
      }
      say(blocks, results, "detail", 3, "moderate", 2);
    }
    head(blocks, level, "Discussion");
    for (int part = 0; part < parts; part++) {
      say(blocks, prose(chapter, part + parts), "gap", 2, "close", 3);
    }
  }

  private static void head(List<Block> blocks, int level, String text) {
    blocks.add(new Heading(level, text));
  }

  /** A paragraph of so many sentences of each name. */
  private static void say(List<Block> blocks, Prose prose, Object... namesAndNumbers) {
    List<String> said = new ArrayList<>();
    for (int i = 0; i < namesAndNumbers.length; i += 2) {
      said.addAll(prose.say((String) namesAndNumbers[i], (Integer) namesAndNumbers[i + 1]));
    }
    if (!said.isEmpty()) {
      blocks.add(new Paragraph(String.join(" ", said)));
    }
  }

  private Prose prose(int chapter, int part) {
    Random random = new Random(work.number() * 131L + chapter * 17L + part);
    return new Prose(variant(chapter + part), work.date().getYear(), sites, random);
  }

  /** The same study, looked at by another of its measures. */
  private Study variant(int turn) {
    return study.turned(turn);
  }

  private Document.Table sitesTable() {
    tables++;
    Random random = new Random(work.number() * 7L + tables);
    List<List<String>> rows =
        IntStream.range(0, 8)
            .mapToObj(
                i ->
                    List.of(
                        sites.next(),
                        String.format(
                            Locale.ROOT, "%.2f", Math.pow(10, random.nextDouble() * 3 - 2)),
                        Integer.toString(20 + random.nextInt(700)),
                        Integer.toString(8 + random.nextInt(30))))
            .toList();
    return new Document.Table(
        "Table %d. Sites, with light at their middle.".formatted(tables),
        List.of("Site", "Light (lux)", "Elevation (m)", "Nights"),
        rows);
  }

  private Document.Figure figure(int part) {
    figures++;
    Random random = new Random(work.number() * 13L + figures);
    double highest = 4 + random.nextInt(40);
    List<Double> values =
        IntStream.range(0, HOURS.size())
            .mapToObj(i -> highest * Math.exp(-Math.pow(i - 3.0, 2) / 9) + random.nextDouble())
            .toList();
    String name = variant(part).response().name();
    return new Document.Figure(
        new Chart("Hour of the night", "Mean a night", HOURS, values),
        "Figure %d. %s by the hour, all nights together."
            .formatted(figures, Template.capital(name)));
  }

  private Document.Table counts(int rows) {
    Random random = new Random(work.number() * 19L);
    List<List<String>> all = new ArrayList<>();
    for (int i = 0; i < rows; i++) {
      all.add(
          List.of(
              Integer.toString(i + 1),
              sites.next(),
              Integer.toString(1 + random.nextInt(28)),
              Integer.toString(random.nextInt(90))));
    }
    return new Document.Table(
        "Each night at each site.",
        List.of("No.", "Site", "Night", "Count"),
        Collections.unmodifiableList(all));
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
