package org.quietlantern.bench;

import de.undercouch.citeproc.CSL;
import de.undercouch.citeproc.ListItemDataProvider;
import de.undercouch.citeproc.csl.CSLItemData;
import de.undercouch.citeproc.csl.CSLItemDataBuilder;
import de.undercouch.citeproc.csl.CSLName;
import de.undercouch.citeproc.csl.CSLNameBuilder;
import de.undercouch.citeproc.csl.CSLType;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.jar.JarFile;
import java.util.stream.IntStream;
import org.quietlantern.core.citation.csl.Citation;
import org.quietlantern.core.citation.csl.Cite;
import org.quietlantern.core.citation.csl.Item;
import org.quietlantern.core.citation.csl.ItemDate;
import org.quietlantern.core.citation.csl.ItemName;
import org.quietlantern.core.citation.csl.Processor;
import org.quietlantern.core.citation.shelf.StyleFinder;
import org.quietlantern.core.citation.shelf.StyleInfo;
import org.quietlantern.core.citation.shelf.StyleInfoReader;
import org.quietlantern.core.citation.shelf.StyleShelf;

/** How fast citing is: first use, many entries, a preview, finding a style. */
final class CitationSpeed {
  private static final List<String> STYLES =
      List.of("apa", "chicago-author-date", "modern-language-association", "nlm-citation-sequence");
  private static final String[] WORDS =
      ("moths lamps hedges bats pollination skyglow amber verge river larvae night dimming kerb"
              + " flight traps counts seasons villages meadows signals")
          .split(" ");

  private CitationSpeed() {}

  static void measure() throws IOException {
    List<Item> items = items(10_000);
    System.out.println("| style | first use | preview of 20 | 1,000 entries | 10,000 entries |");
    System.out.println("|---|---|---|---|---|");
    StyleShelf shelf = new StyleShelf();
    for (String style : STYLES) {
      long first = time(() -> entries(shelf, style, items.subList(0, 1)));
      for (int i = 0; i < 3; i++) {
        entries(shelf, style, items.subList(0, 1_000));
      }
      long preview = time(() -> entries(shelf, style, items.subList(0, 20)));
      long thousand = time(() -> entries(shelf, style, items.subList(0, 1_000)));
      long all = time(() -> entries(shelf, style, items));
      System.out.printf(
          Locale.ROOT,
          "| %s | %d ms | %d ms | %d ms | %.1f s |%n",
          style,
          first / 1_000_000,
          preview / 1_000_000,
          thousand / 1_000_000,
          all / 1e9);
    }
    beside(items.subList(0, 1_000));
    finding();
  }

  /** The library that was tried first, with the same works in its own form. */
  private static void beside(List<Item> items) throws IOException {
    List<CSLItemData> same = items.stream().map(CitationSpeed::same).toList();
    String[] ids = same.stream().map(CSLItemData::getId).toArray(String[]::new);
    StyleShelf shelf = new StyleShelf();
    System.out.println();
    for (String style : STYLES) {
      entries(shelf, style, items);
      library(same, ids, style);
      long theirs = library(same, ids, style);
      long ours = time(() -> entries(shelf, style, items));
      System.out.printf(
          Locale.ROOT,
          "%s, 1,000 entries: citeproc-java %d ms, %.1f times as long as here%n",
          style,
          theirs / 1_000_000,
          (double) theirs / ours);
    }
  }

  private static long library(List<CSLItemData> same, String[] ids, String style)
      throws IOException {
    CSL library = new CSL(new ListItemDataProvider(same), style);
    library.setOutputFormat("html");
    return time(
        () -> {
          library.registerCitationItems(ids);
          library.makeBibliography();
        });
  }

  private static CSLItemData same(Item item) {
    return new CSLItemDataBuilder()
        .id(item.id())
        .type(CSLType.ARTICLE_JOURNAL)
        .title(item.text("title"))
        .containerTitle(item.text("container-title"))
        .volume(item.text("volume"))
        .issue(item.text("issue"))
        .page(item.text("page"))
        .DOI(item.text("DOI"))
        .author(
            item.names().get("author").stream()
                .map(name -> new CSLNameBuilder().family(name.family()).given(name.given()).build())
                .toArray(CSLName[]::new))
        .issued(item.dates().get("issued").parts().get(0).year())
        .build();
  }

  private static void entries(StyleShelf shelf, String style, List<Item> items) {
    Processor processor = shelf.processor(shelf.style(style).orElseThrow(), "");
    processor.setItems(items);
    int written =
        processor.bibliography().stream().mapToInt(entry -> entry.text().blocks().size()).sum();
    List<Cite> cites = items.stream().limit(3).map(item -> Cite.of(item.id())).toList();
    String cited = processor.citations(List.of(new Citation(cites, 0))).get(0).plain();
    if (written < items.size() || cited.isEmpty()) {
      throw new IllegalStateException(style + " printed " + written + " of " + items.size());
    }
  }

  private static void finding() throws IOException {
    List<StyleInfo> styles = new ArrayList<>();
    long read = time(() -> styles.addAll(infos()));
    StyleFinder finder = new StyleFinder(styles);
    List<String> typed = List.of("a", "ap", "apa", "journal of eco", "ecology", "1758-678X", "");
    for (int i = 0; i < 30; i++) {
      typed.forEach(one -> finder.find(one, 20));
    }
    System.out.printf("%nheads of %,d styles read in %d ms%n", styles.size(), read / 1_000_000);
    for (String one : typed) {
      long took = time(() -> finder.find(one, 20));
      System.out.printf(
          Locale.ROOT,
          "“%s”: %,d found in %.1f ms%n",
          one,
          finder.find(one, 20).count(),
          took / 1e6);
    }
  }

  static List<StyleInfo> infos() {
    String file =
        Arrays.stream(System.getProperty("java.class.path").split(":"))
            .filter(one -> one.matches(".*/styles-[\\d.]+jar"))
            .findFirst()
            .orElseThrow();
    try (JarFile jar = new JarFile(file)) {
      return StyleInfoReader.all(jar);
    } catch (IOException broken) {
      throw new UncheckedIOException(broken);
    }
  }

  private static long time(Runnable work) {
    long from = System.nanoTime();
    work.run();
    return System.nanoTime() - from;
  }

  /** Made up, with people of one name and years that several works share. */
  static List<Item> items(int count) {
    Random random = new Random(7);
    List<Item> items = new ArrayList<>();
    for (int i = 0; i < count; i++) {
      List<ItemName> people =
          IntStream.range(0, 1 + random.nextInt(5))
              .mapToObj(p -> ItemName.of(name(random), given(random)))
              .toList();
      int from = 1 + random.nextInt(900);
      items.add(
          new Item(
              "w" + i,
              "article-journal",
              Map.of(
                  "title", title(random),
                  "container-title", "Annals of " + title(random),
                  "volume", "" + (1 + random.nextInt(60)),
                  "issue", "" + (1 + random.nextInt(6)),
                  "page", from + "-" + (from + 12),
                  "DOI", "10.5555/bench." + i),
              Map.of("author", people),
              Map.of(
                  "issued",
                  new ItemDate(
                      List.of(new ItemDate.Parts(1990 + random.nextInt(36), 0, 0)), false, ""))));
    }
    return items;
  }

  private static String name(Random random) {
    String word = WORDS[random.nextInt(WORDS.length)];
    return word.substring(0, 1).toUpperCase(Locale.ROOT)
        + word.substring(1)
        + WORDS[random.nextInt(WORDS.length)].charAt(0)
        + random.nextInt(20);
  }

  private static String given(Random random) {
    return Character.toString('A' + random.nextInt(26)) + WORDS[random.nextInt(WORDS.length)];
  }

  private static String title(Random random) {
    return String.join(
        " ", Arrays.stream(new int[6]).mapToObj(i -> WORDS[random.nextInt(WORDS.length)]).toList());
  }
}
