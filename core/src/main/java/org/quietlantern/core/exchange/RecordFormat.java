package org.quietlantern.core.exchange;

import java.util.Arrays;
import java.util.Optional;

/** The formats of records that can be read, the best first, known by what their roots are. */
public enum RecordFormat {
  /** MODS 3 (Library of Congress). */
  MODS("MODS", ModsReader.MODS),
  /** JATS, any edition of it: its elements have no namespace of their own. */
  JATS("JATS", JatsReader.NISO),
  /** MARC 21 as MARCXML (Library of Congress, MARC 21 XML Schema). */
  MARCXML("MARCXML", MarcReader.SLIM),
  /** Fifteen elements, as every server of OAI-PMH has them. */
  DUBLIN_CORE("Dublin Core", "http://www.openarchives.org/OAI/2.0/oai_dc/");

  private final String spoken;
  private final String namespace;

  RecordFormat(String spoken, String namespace) {
    this.spoken = spoken;
    this.namespace = namespace;
  }

  public String namespace() {
    return namespace;
  }

  /** As people call it. */
  public String spoken() {
    return spoken;
  }

  /**
   * What a source offers under a prefix: by its namespace, which says it (OAI-PMH 2.0, 4.4), else
   * by a prefix that is used for nothing else.
   */
  public static Optional<RecordFormat> offered(String prefix, String namespace) {
    return ofNamespace(namespace).or(() -> ofPrefix(prefix));
  }

  /** Of the outermost element of a record. */
  public static Optional<RecordFormat> ofRoot(String namespace, String name) {
    return switch (name) {
      case "mods" -> Optional.of(MODS).filter(f -> f.namespace.equals(namespace));
      case "article" -> Optional.of(JATS).filter(f -> namespace.isEmpty() || isJats(namespace));
      case "record" -> Optional.of(MARCXML).filter(f -> f.namespace.equals(namespace));
      // Some write the wrapper in the namespace of its elements.
      case "dc" -> Optional.of(DUBLIN_CORE);
      default -> Optional.empty();
    };
  }

  private static Optional<RecordFormat> ofNamespace(String namespace) {
    return isJats(namespace)
        ? Optional.of(JATS)
        : Arrays.stream(values()).filter(f -> f.namespace.equals(namespace)).findFirst();
  }

  private static Optional<RecordFormat> ofPrefix(String prefix) {
    return switch (prefix) {
      case "mods" -> Optional.of(MODS);
      case "jats", "nlm" -> Optional.of(JATS);
      case "marcxml", "marc21", "marc" -> Optional.of(MARCXML);
      case "oai_dc" -> Optional.of(DUBLIN_CORE);
      default -> Optional.empty();
    };
  }

  private static boolean isJats(String namespace) {
    return namespace.contains("jats.nlm.nih.gov") || namespace.contains("dtd.nlm.nih.gov");
  }
}
