package org.quietlantern.bench;

import de.undercouch.citeproc.bibtex.BibTeXConverter;
import de.undercouch.citeproc.ris.RISConverter;
import java.io.ByteArrayInputStream;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.Map;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamReader;
import org.apache.commons.csv.CSVFormat;
import org.quietlantern.core.reference.EntryKeys;
import org.quietlantern.core.reference.Included;
import org.quietlantern.core.reference.Reference;
import org.quietlantern.core.reference.ReferenceFiles;
import org.quietlantern.core.reference.ReferenceFormat;
import org.quietlantern.core.reference.ReferenceWriter;
import tools.jackson.databind.json.JsonMapper;

/**
 * How fast files of references are written and read, how that grows, and beside it what a library
 * takes that only takes the file apart: {@code [RECORDS]}.
 */
public final class ExchangeBench {
  private static final int MANY = 50_000;

  /** How many times as many. */
  private static final int GROWTH = 10;

  private ExchangeBench() {}

  private interface Act {
    void run() throws Exception;
  }

  public static void main(String[] arguments) throws Exception {
    int many = arguments.length > 0 ? Integer.parseInt(arguments[0]) : MANY;
    int few = many / GROWTH;
    System.out.printf(
        Locale.ENGLISH,
        "| %,d records | MB | written, s | read, s | read, of %,d, s | growth | a library, s |%n",
        many,
        few);
    System.out.println("|---|---|---|---|---|---|---|");
    for (ReferenceFormat format : ReferenceFormat.values()) {
      measure(format, many, few);
    }
  }

  private static void measure(ReferenceFormat format, int many, int few) throws Exception {
    byte[] small = file(format, few);
    for (int i = 0; i < 2 && format != ReferenceFormat.TEXT; i++) {
      read(small, few);
    }
    long began = System.nanoTime();
    byte[] file = file(format, many);
    double written = since(began);
    if (format == ReferenceFormat.TEXT) {
      System.out.printf(
          Locale.ENGLISH, "| %s | %d | %.1f | | | | |%n", format.spoken(), mb(file), written);
      return;
    }
    double ofFew = time(() -> read(small, few));
    double ofMany = time(() -> read(file, many));
    String library = library(format, file);
    System.out.printf(
        Locale.ENGLISH,
        "| %s | %d | %.1f | %.1f | %.2f | %.1f | %s |%n",
        format.spoken(),
        mb(file),
        written,
        ofMany,
        ofFew,
        ofMany / ofFew,
        library);
  }

  private static long mb(byte[] file) {
    return file.length / 1_000_000;
  }

  private static byte[] file(ReferenceFormat format, int many) {
    ReferenceWriter writer = format.writer(Included.ALL, false);
    StringBuilder text = new StringBuilder(writer.begin());
    int before = text.length();
    Records.of(many)
        .forEach(
            one -> {
              Reference reference =
                  Reference.of(
                      EntryKeys.of(one.publication()) + one.id(),
                      one.publication(),
                      "https://lantern.example/p/" + one.id());
              text.append(text.length() > before ? writer.between() : "")
                  .append(writer.entry(reference));
            });
    return text.append(writer.end(many)).toString().getBytes(StandardCharsets.UTF_8);
  }

  private static void read(byte[] file, int many) {
    int found = ReferenceFiles.read("f", file, Map.of()).get(0).file().references().size();
    if (found != many) {
      throw new IllegalStateException(found + " of " + many + " were read");
    }
  }

  private static String library(ReferenceFormat format, byte[] file) throws Exception {
    Map.Entry<String, Act> beside =
        switch (format) {
          case RIS ->
              Map.entry(
                  "citeproc-java",
                  () -> new RISConverter().loadLibrary(new ByteArrayInputStream(file)));
          case BIBTEX ->
              Map.entry(
                  "jbibtex",
                  () -> new BibTeXConverter().loadDatabase(new ByteArrayInputStream(file)));
          case CSL_JSON -> Map.entry("Jackson", () -> new JsonMapper().readTree(file));
          case CSV ->
              Map.entry(
                  "Commons CSV",
                  () ->
                      CSVFormat.RFC4180
                          .parse(
                              new InputStreamReader(
                                  new ByteArrayInputStream(file), StandardCharsets.UTF_8))
                          .getRecords());
          case MODS -> Map.entry("StAX", () -> walk(file));
          case BIBLATEX, TEXT -> Map.entry("", () -> {});
        };
    return beside.getKey().isEmpty()
        ? ""
        : "%.1f (%s)".formatted(time(beside.getValue()), beside.getKey());
  }

  private static void walk(byte[] file) throws Exception {
    XMLStreamReader xml =
        XMLInputFactory.newDefaultFactory().createXMLStreamReader(new ByteArrayInputStream(file));
    while (xml.hasNext()) {
      xml.next();
    }
  }

  private static double time(Act act) throws Exception {
    long began = System.nanoTime();
    act.run();
    return since(began);
  }

  private static double since(long began) {
    return (System.nanoTime() - began) / 1e9;
  }
}
