package org.quietlantern.core.reference;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.quietlantern.core.exchange.Supplied;
import org.quietlantern.core.publication.Contributor;
import org.quietlantern.core.publication.Host;
import org.quietlantern.core.publication.Kind;
import org.quietlantern.core.publication.PartialDate;
import org.quietlantern.core.publication.PersonName;
import org.quietlantern.core.publication.Publication;

/**
 * Reads the tagged RIS format as programs write it: with one space or two around the hyphen, values
 * that go on in the next line, entries whose end is missing, tags of older and newer lists.
 */
public final class RisReader {
  private static final Pattern TAGGED = Pattern.compile("([A-Z][A-Z0-9]) {0,2}- ?(.*)");

  private static final Map<String, Kind> KINDS =
      Map.ofEntries(
          Map.entry("JOUR", Kind.ARTICLE),
          Map.entry("JFULL", Kind.ARTICLE),
          Map.entry("MGZN", Kind.ARTICLE),
          Map.entry("EJOUR", Kind.ARTICLE),
          Map.entry("INPR", Kind.ARTICLE),
          Map.entry("ABST", Kind.ARTICLE),
          Map.entry("UNPB", Kind.PREPRINT),
          Map.entry("BOOK", Kind.BOOK),
          Map.entry("EBOOK", Kind.BOOK),
          Map.entry("EDBOOK", Kind.BOOK),
          Map.entry("CHAP", Kind.CHAPTER),
          Map.entry("ECHAP", Kind.CHAPTER),
          Map.entry("THES", Kind.THESIS),
          Map.entry("RPRT", Kind.REPORT),
          Map.entry("GOVDOC", Kind.REPORT),
          Map.entry("CONF", Kind.CONFERENCE_PAPER),
          Map.entry("CPAPER", Kind.CONFERENCE_PAPER),
          Map.entry("DATA", Kind.DATASET));

  private final List<ReadFile.Found> found = new ArrayList<>();
  private final List<ReadFile.Problem> problems = new ArrayList<>();

  /** Of the entry that is read: values by tag, in their order; null between entries. */
  private Map<String, List<StringBuilder>> entry;

  private int begun;

  /** The value that a line without a tag goes on with; null for none. */
  private StringBuilder last;

  private RisReader() {}

  /** Everything that can be read of a file. */
  public static ReadFile read(String text) {
    RisReader reader = new RisReader();
    String[] lines = text.split("\r\n|\n|\r", -1);
    for (int i = 0; i < lines.length; i++) {
      reader.line(lines[i].replace("\uFEFF", ""), i + 1);
    }
    reader.endless("the file");
    return new ReadFile(reader.found, reader.problems);
  }

  private void line(String line, int number) {
    Matcher tagged = TAGGED.matcher(line);
    if (!tagged.matches()) {
      goOn(line.strip(), number);
      return;
    }
    String tag = tagged.group(1);
    String value = tagged.group(2).strip();
    if (tag.equals("TY")) {
      endless("the next entry");
      entry = new LinkedHashMap<>();
      begun = number;
      add(tag, value);
    } else if (entry == null) {
      if (!tag.equals("ER")) {
        problems.add(
            new ReadFile.Problem(number, "“%s” stands outside of an entry.".formatted(tag)));
      }
    } else if (tag.equals("ER")) {
      end();
    } else {
      add(tag, value);
    }
  }

  private void goOn(String line, int number) {
    if (line.isEmpty()) {
      return;
    }
    if (entry == null || last == null) {
      // Many files begin with words of the program that wrote them.
      if (!found.isEmpty() || entry != null) {
        problems.add(new ReadFile.Problem(number, "A line has no tag, and follows none."));
      }
      return;
    }
    last.append(' ').append(line);
  }

  private void add(String tag, String value) {
    last = new StringBuilder(value);
    entry.computeIfAbsent(tag, t -> new ArrayList<>()).add(last);
  }

  private void endless(String before) {
    if (entry != null) {
      problems.add(
          new ReadFile.Problem(begun, "The entry does not end before %s does.".formatted(before)));
      end();
    }
  }

  private void end() {
    if (values("TI", "T1").size() > 1) {
      problems.add(new ReadFile.Problem(begun, "The entry has two titles; the first was read."));
    }
    String title = first("TI", "T1", "CT");
    if (title.isEmpty()) {
      // Of whole books some have the title there.
      title = first("BT", "T2");
    }
    if (title.isEmpty()) {
      problems.add(new ReadFile.Problem(begun, "The entry has no title."));
    } else {
      found.add(new ReadFile.Found(reference(title), begun));
    }
    entry = null;
    last = null;
  }

  private Reference reference(String title) {
    List<String> notes =
        values("N1", "RN").stream().filter(note -> !note.isEmpty()).distinct().toList();
    String address =
        values("UR", "L2", "LK").stream()
            .filter(one -> one.startsWith("http"))
            .findFirst()
            .orElse("");
    return new Reference(first("ID"), publication(title), address, notes, "");
  }

  private Publication publication(String title) {
    String type = first("TY");
    Kind kind =
        Kind.named(first("M3").replaceAll(",.*", "")).orElse(KINDS.getOrDefault(type, other()));
    List<Contributor> people = new ArrayList<>();
    people(people, Contributor.AUTHOR, "AU", "A1");
    people(people, "editor", "ED", "A2");
    people(people, "translator", "TA", "A4");
    return new ReadWork(
            kind,
            title,
            people,
            date(),
            host(title),
            first("PB"),
            Supplied.language(first("LA")),
            first("AB", "N2"),
            values("KW").stream().filter(word -> !word.isEmpty()).distinct().toList(),
            doi(),
            0,
            values("SN").stream().flatMap(numbers -> ReadWork.isbns(numbers).stream()).toList())
        .publication();
  }

  private Kind other() {
    return first("JO", "JF", "JA").isEmpty() ? Kind.REPORT : Kind.ARTICLE;
  }

  /** Family names stand first, with a comma; who has none is a body, or has one name. */
  private void people(List<Contributor> into, String role, String... tags) {
    for (String name : values(tags)) {
      String[] parts = name.split(",", 3);
      String family = parts[0].strip();
      if (family.isEmpty()) {
        continue;
      }
      boolean suffixed = parts.length > 2 && !parts[2].isBlank();
      String whole = suffixed ? family + ", " + parts[2].strip() : family;
      String given = parts.length > 1 ? parts[1].strip() : "";
      boolean body = given.isEmpty() && !suffixed && family.contains(" ");
      into.add(new Contributor(new PersonName(whole, given), role, body, "", List.of()));
    }
  }

  private Host host(String title) {
    String around = first("T2", "JF", "JO", "BT", "JA", "J2");
    String last = first("EP");
    PageRun pages = last.isEmpty() ? PageRun.of(first("SP")) : new PageRun(first("SP"), last);
    return new Host(
        around.equals(title) ? "" : around,
        values("SN").stream()
            .map(Supplied::issn)
            .filter(issn -> !issn.isEmpty())
            .findFirst()
            .orElse(""),
        first("VL"),
        first("IS"),
        pages.first(),
        pages.last());
  }

  private String doi() {
    return Stream.concat(values("DO").stream(), values("UR", "M3", "N1").stream())
        .map(Supplied::doi)
        .filter(doi -> !doi.isEmpty())
        .findFirst()
        .orElse("");
  }

  /** {@code 2025/03/14/} or any other form; the year alone where the rest cannot be. */
  private Optional<PartialDate> date() {
    String written = first("DA", "PY", "Y1");
    String dashed =
        Stream.of(written.split("/"))
            .map(String::strip)
            .filter(one -> one.matches("\\d{1,4}"))
            .limit(3)
            .map(one -> one.length() == 1 ? "0" + one : one)
            .collect(Collectors.joining("-"));
    return Supplied.date(written.contains("/") ? dashed : written)
        .or(() -> Supplied.date(first("PY", "Y1").replaceAll("/.*", "")));
  }

  private List<String> values(String... tags) {
    return Stream.of(tags)
        .flatMap(tag -> entry.getOrDefault(tag, List.of()).stream())
        .map(StringBuilder::toString)
        .toList();
  }

  private String first(String... tags) {
    return values(tags).stream().filter(value -> !value.isEmpty()).findFirst().orElse("");
  }
}
