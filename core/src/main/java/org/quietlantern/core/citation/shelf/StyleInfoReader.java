package org.quietlantern.core.citation.shelf;

import java.io.IOException;
import java.io.InputStreamReader;
import java.io.Reader;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.jar.JarEntry;
import java.util.jar.JarFile;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import org.quietlantern.core.exchange.Xml;

/** Reads what a style says of itself, and no further. */
public final class StyleInfoReader {
  private static final String ENDING = ".csl";
  private static final String PARENT = "independent-parent";

  private String title = "";
  private String shortTitle = "";
  private String format = "";
  private String parent = "";
  private String language = "";
  private final List<String> fields = new ArrayList<>();
  private final List<String> issns = new ArrayList<>();

  private StyleInfoReader() {}

  /** All styles in an archive of style files. */
  public static List<StyleInfo> all(JarFile archive) throws IOException {
    List<StyleInfo> styles = new ArrayList<>();
    for (JarEntry one : Collections.list(archive.entries())) {
      if (one.getName().endsWith(ENDING)) {
        String name = one.getName().replaceFirst(".*/", "").replace(ENDING, "");
        try (Reader text =
            new InputStreamReader(archive.getInputStream(one), StandardCharsets.UTF_8)) {
          read(name, text).ifPresent(styles::add);
        }
      }
    }
    return styles;
  }

  /** Empty for what is no style, or does not say what it is called. */
  public static Optional<StyleInfo> read(String name, Reader style) {
    StyleInfoReader reader = new StyleInfoReader();
    try {
      reader.read(Xml.stream(style));
    } catch (XMLStreamException broken) {
      return Optional.empty();
    }
    return reader.title.isEmpty()
        ? Optional.empty()
        : Optional.of(
            new StyleInfo(
                name,
                reader.title,
                reader.shortTitle,
                reader.format,
                reader.fields,
                reader.issns,
                reader.parent,
                reader.language));
  }

  private void read(XMLStreamReader xml) throws XMLStreamException {
    boolean inside = false;
    while (xml.hasNext()) {
      int event = xml.next();
      if (event == XMLStreamConstants.END_ELEMENT && xml.getLocalName().equals("info")) {
        return;
      }
      if (event != XMLStreamConstants.START_ELEMENT) {
        continue;
      }
      if (xml.getLocalName().equals("style")) {
        language = said(xml, "default-locale");
      } else if (xml.getLocalName().equals("info")) {
        inside = true;
      } else if (inside) {
        element(xml);
      }
    }
  }

  private void element(XMLStreamReader xml) throws XMLStreamException {
    switch (xml.getLocalName()) {
      case "title" -> title = xml.getElementText().strip();
      case "title-short" -> shortTitle = xml.getElementText().strip();
      case "issn", "eissn", "issnl" -> issns.add(xml.getElementText().strip());
      case "category" -> {
        format = format.isEmpty() ? said(xml, "citation-format") : format;
        String field = said(xml, "field").replace('_', ' ').replace('-', ' ');
        if (!field.isEmpty()) {
          fields.add(field);
        }
      }
      case "link" -> {
        if (said(xml, "rel").equals(PARENT)) {
          parent = said(xml, "href").replaceFirst(".*/", "");
        }
      }
      default -> {}
    }
  }

  private static String said(XMLStreamReader xml, String name) {
    String value = xml.getAttributeValue(null, name);
    return value == null ? "" : value;
  }
}
