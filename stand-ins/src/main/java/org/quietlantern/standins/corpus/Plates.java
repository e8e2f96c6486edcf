package org.quietlantern.standins.corpus;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.stream.IntStream;
import org.quietlantern.standins.print.Chart;
import org.quietlantern.standins.print.Document;
import org.quietlantern.standins.words.RareWords;
import org.quietlantern.standins.words.Template;

/** Figures and tables of one text, numbered as they come. */
final class Plates {
  private static final List<String> HOURS = List.of("20", "21", "22", "23", "0", "1", "2", "3");
  private final int number;
  private final RareWords sites;
  private int figures;
  private int tables;

  /** {@code number} of the work: what is drawn hangs on it. */
  Plates(int number, RareWords sites) {
    this.number = number;
    this.sites = sites;
  }

  Document.Table sites() {
    tables++;
    Random random = new Random(number * 7L + tables);
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

  /** A bell over the night. */
  Document.Figure hours(String measure) {
    figures++;
    Random random = new Random(number * 13L + figures);
    double highest = 4 + random.nextInt(40);
    List<Double> values =
        IntStream.range(0, HOURS.size())
            .mapToObj(i -> highest * Math.exp(-Math.pow(i - 3.0, 2) / 9) + random.nextDouble())
            .toList();
    return new Document.Figure(
        new Chart("Hour of the night", "Mean a night", HOURS, values),
        "Figure %d. %s by the hour, all nights together."
            .formatted(figures, Template.capital(measure)));
  }

  Document.Table counts(int rows) {
    Random random = new Random(number * 19L);
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
        "Each night at each site.", List.of("No.", "Site", "Night", "Count"), all);
  }
}
