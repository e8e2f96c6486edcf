package org.quietlantern.core.exchange;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.quietlantern.core.publication.Text;
import org.xml.sax.SAXException;

/** Reads a supplied record in whichever of the known formats it is. */
public final class RecordReader {
  /** To be raised when records are read differently, so that what is kept is read again. */
  public static final int EDITION = 7;

  /** The namespace of what MODS has no place for (docs/formats.md). */
  public static final String EXTENSION = "urn:quietlantern:supply:1";

  /** Letters of a whole record; a longer one is not read. */
  public static final int LONGEST = 2_000_000;

  /** Stands where a source had something that no text can hold. */
  private static final char REPLACED = '\uFFFD';

  private RecordReader() {}

  /** What it is stands in its outermost element, whatever the source calls it. */
  public static SuppliedRecord read(String raw) {
    return parsed(raw).supplied();
  }

  /** The same, with what stands in it besides the work. */
  public static Whole whole(String raw) {
    Parsed parsed = parsed(raw);
    return new Whole(
        parsed.supplied(), parsed.root().map(RecordReader::beside).orElse(Beside.NOTHING));
  }

  /** {@code root}: empty where it is no XML, or too long. */
  private record Parsed(Optional<Node> root, SuppliedRecord supplied) {
    static Parsed unreadable(String why) {
      return new Parsed(Optional.empty(), new SuppliedRecord.Unreadable(why));
    }

    Parsed with(String problem) {
      return new Parsed(root, supplied.with(problem));
    }
  }

  private static Parsed parsed(String raw) {
    if (raw.length() > LONGEST) {
      return Parsed.unreadable("longer than %,d letters".formatted(LONGEST));
    }
    Parsed parsed = known(raw);
    return raw.indexOf(REPLACED) >= 0 ? parsed.with("letters that no text can hold") : parsed;
  }

  /** What a record calls itself; empty if it has no name. */
  public static String identifier(String raw) {
    try {
      Node root = Node.root(Xml.tree(raw));
      return format(root).map(format -> identifier(format, root)).orElse("");
    } catch (SAXException broken) {
      return "";
    }
  }

  /**
   * What stands in a record besides the work.
   *
   * @param notes each on its own
   * @param annotation empty for none
   * @param link where the work stands in the system that wrote the record; empty if it does not say
   */
  public record Beside(List<String> notes, String annotation, String link) {
    private static final Beside NOTHING = new Beside(List.of(), "", "");

    public Beside {
      notes = List.copyOf(notes);
    }
  }

  /** A record, and what stands in it besides the work. */
  public record Whole(SuppliedRecord supplied, Beside beside) {}

  /** Of MODS; other formats have none. */
  private static Beside beside(Node root) {
    if (!format(root).equals(Optional.of(RecordFormat.MODS))) {
      return Beside.NOTHING;
    }
    Map<Boolean, List<String>> notes =
        root.all("note").stream()
            .filter(note -> !note.text().isEmpty())
            .collect(
                Collectors.partitioningBy(
                    note -> note.has("type", "annotation"),
                    Collectors.mapping(Node::text, Collectors.toList())));
    String link =
        root.all("location", "url").stream()
            .filter(url -> url.attribute("usage").startsWith("primary"))
            .map(Node::text)
            .findFirst()
            .orElse("");
    return new Beside(notes.get(false), String.join("\n", notes.get(true)), link);
  }

  private static String identifier(RecordFormat format, Node root) {
    return switch (format) {
      case MODS -> root.text("recordInfo", "recordIdentifier");
      case JATS -> JatsReader.identifier(root);
      case MARCXML -> MarcReader.identifier(root);
      case DUBLIN_CORE -> root.text("identifier");
    };
  }

  private static Optional<RecordFormat> format(Node root) {
    String namespace = Optional.ofNullable(root.element().getNamespaceURI()).orElse("");
    return RecordFormat.ofRoot(namespace, root.element().getLocalName());
  }

  private static Parsed known(String raw) {
    try {
      Node root = Node.root(Xml.tree(raw));
      return new Parsed(
          Optional.of(root),
          format(root)
              .map(format -> read(format, root))
              .orElseGet(
                  () ->
                      new SuppliedRecord.Unreadable(
                          "no format that is known: "
                              + Text.atMost(100, root.element().getNodeName()))));
    } catch (SAXException broken) {
      return Parsed.unreadable("not well-formed XML: " + broken.getMessage());
    }
  }

  private static SuppliedRecord read(RecordFormat format, Node root) {
    return switch (format) {
      case MODS -> ModsReader.read(root);
      case JATS -> JatsReader.read(root);
      case MARCXML -> MarcReader.read(root);
      case DUBLIN_CORE -> DublinCoreReader.read(root);
    };
  }
}
