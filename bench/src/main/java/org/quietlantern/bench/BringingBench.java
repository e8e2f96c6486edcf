package org.quietlantern.bench;

import java.io.IOException;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Iterator;
import java.util.List;
import java.util.Locale;
import org.quietlantern.standins.corpus.Literature;
import org.quietlantern.standins.corpus.ManyWorks;
import org.quietlantern.standins.corpus.Work;

/**
 * Old records of a group end to end: sent as one RIS file, looked at, taken into a folder, exported
 * again; and what searching costs with them beside without. Arguments: a folder; how many are
 * brought in (50,000); how many all groups share (50,000).
 */
public final class BringingBench {
  private static final int MANY = 50_000;
  private static final int EXPORTED = 20_000;

  /** Another literature than the shared one. */
  private static final long SEED = Literature.SEED + 1;

  private static final List<String> LINES =
      List.of("moth*", "lighting and (bat* or moth*)", "\"street lamps\" not review", "dimming");

  private final Serving serving;
  private final Path place;
  private Visit visit;

  private BringingBench(Path place) throws IOException {
    this.serving = new Serving(place);
    this.place = place;
  }

  public static void main(String[] arguments) throws Exception {
    int many = arguments.length > 1 ? Integer.parseInt(arguments[1]) : MANY;
    int shared = arguments.length > 2 ? Integer.parseInt(arguments[2]) : MANY;
    new BringingBench(Path.of(arguments[0])).run(many, shared);
  }

  private void run(int many, int shared) throws Exception {
    serving.start();
    visit = serving.enter();
    serving.load(RecordsFile.write(place.resolve("records.xml"), shared));
    Serving.caughtUp(visit);
    Times without = Times.of(this::search);
    System.out.printf(Locale.ENGLISH, "%n| beside %,d that all share | s |%n|---|---|%n", shared);
    String first = bring("the first", 0, Math.min(EXPORTED, many));
    for (String format : List.of("ris", "bibtex", "mods", "csv", "text")) {
      long began = System.nanoTime();
      visit.inGroup(
          "POST",
          "/folders/" + first + "/export",
          "{\"format\":\"%s\",\"with\":[\"abstract\",\"keywords\",\"link\",\"reasons\"]}"
              .formatted(format));
      tell("%,d exported as %s".formatted(Math.min(EXPORTED, many), format), began);
    }
    bring("then", EXPORTED, many);
    Times with = Times.of(this::search);
    System.out.printf(
        Locale.ENGLISH,
        "%nFour searches, milliseconds (95 %%): without own records %s, with %s: %.2f times%n",
        without,
        with,
        without.timesLonger(with));
    serving.stop();
  }

  private void search() {
    for (String line : LINES) {
      visit.inGroup("POST", "/search", "{\"text\":\"%s\"}".formatted(line.replace("\"", "\\\"")));
    }
  }

  /** Answers the folder into which they are taken. */
  private String bring(String which, int from, int many) throws IOException, InterruptedException {
    Path file = ris(from, many);
    String folder =
        Visit.found(
            "\"id\":\"(\\w{10})\"",
            visit.inGroup("POST", "/folders", "{\"name\":\"Old records, %s\"}".formatted(which)));
    long began = System.nanoTime();
    String brought = Visit.found("\"id\":\"(\\w{10})\"", visit.inGroup("POST", "/brought", "{}"));
    String path = "/brought/" + brought;
    visit.sendFile(path + "/files/0?name=old.ris", file);
    tell("%s %,d (%,d MB) sent".formatted(which, many, Files.size(file) / 1_000_000), began);
    until(path + "/entries?of=new", "\"entries\":[{");
    tell("… the first of them shown", began);
    until(path, "\"reading\":false");
    tell("… all of them looked at", began);
    visit.inGroup("POST", path + "/taken", "{\"folder\":\"%s\"}".formatted(folder));
    until(path, "\"state\":\"taken\"");
    tell("… all of them taken in, end to end", began);
    Serving.caughtUp(visit);
    return folder;
  }

  /** Asks as often as the page does. */
  private void until(String path, String said) throws InterruptedException {
    while (!visit.inGroup("GET", path, "").contains(said)) {
      Thread.sleep(700);
    }
  }

  private static void tell(String what, long began) {
    System.out.printf(Locale.ENGLISH, "| %s | %.1f |%n", what, (System.nanoTime() - began) / 1e9);
  }

  private Path ris(int from, int many) throws IOException {
    Path file = place.resolve("old-%d.ris".formatted(from));
    Iterator<Work> works = ManyWorks.of(SEED, from + many).skip(from).iterator();
    try (Writer text = Files.newBufferedWriter(file, StandardCharsets.UTF_8)) {
      while (works.hasNext()) {
        text.write(entry(works.next()));
      }
    }
    return file;
  }

  private static String entry(Work work) {
    StringBuilder ris = new StringBuilder("TY  - JOUR\n");
    work.authors().forEach(a -> ris.append("AU  - %s, %s%n".formatted(a.family(), a.given())));
    ris.append("TI  - ").append(work.title()).append('\n');
    work.journal()
        .ifPresent(j -> ris.append("T2  - ").append(j.titleIn(work.date().getYear())).append('\n'));
    return ris.append("PY  - ")
        .append(work.date().getYear())
        .append("\nAB  - ")
        .append(work.abstractText())
        .append("\nDO  - 10.5555/old.")
        .append(work.number())
        .append("\nER  - \n\n")
        .toString();
  }
}
