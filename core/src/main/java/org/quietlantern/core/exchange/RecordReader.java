package org.quietlantern.core.exchange;

import java.util.Optional;
import org.quietlantern.core.publication.Text;
import org.xml.sax.SAXException;

/** Reads a supplied record in whichever of the known formats it is. */
public final class RecordReader {
  /** To be raised when records are read differently, so that what is kept is read again. */
  public static final int EDITION = 7;

  /** Letters of a whole record; a longer one is not read. */
  public static final int LONGEST = 2_000_000;

  /** Stands where a source had something that no text can hold. */
  private static final char REPLACED = '\uFFFD';

  private RecordReader() {}

  /** What it is stands in its outermost element, whatever the source calls it. */
  public static SuppliedRecord read(String raw) {
    if (raw.length() > LONGEST) {
      return new SuppliedRecord.Unreadable("longer than %,d letters".formatted(LONGEST));
    }
    SuppliedRecord supplied = known(raw);
    return raw.indexOf(REPLACED) >= 0 ? supplied.with("letters that no text can hold") : supplied;
  }

  /** What a record calls itself; empty if it has no name. */
  static String identifier(String raw) {
    try {
      Node root = Node.root(Xml.tree(raw));
      return format(root).map(format -> identifier(format, root)).orElse("");
    } catch (SAXException broken) {
      return "";
    }
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

  private static SuppliedRecord known(String raw) {
    try {
      Node root = Node.root(Xml.tree(raw));
      return format(root)
          .map(format -> read(format, root))
          .orElseGet(
              () ->
                  new SuppliedRecord.Unreadable(
                      "no format that is known: "
                          + Text.atMost(100, root.element().getNodeName())));
    } catch (SAXException broken) {
      return new SuppliedRecord.Unreadable("not well-formed XML: " + broken.getMessage());
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
