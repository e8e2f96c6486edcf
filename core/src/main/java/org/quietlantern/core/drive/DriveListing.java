package org.quietlantern.core.drive;

import java.io.IOException;
import java.text.Collator;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.quietlantern.core.exchange.Xml;
import org.w3c.dom.Element;
import org.w3c.dom.Node;
import org.xml.sax.SAXException;

/**
 * What stands in a folder of a drive, as it answers a PROPFIND of depth 1 (RFC 4918, 9.1 and
 * 14.16).
 *
 * @param isFolder whether the place that was asked for is a folder at all
 * @param folders names of the folders in it, in their order
 * @param files names of the files in it, in their order
 */
public record DriveListing(boolean isFolder, List<String> folders, List<String> files) {
  private static final String DAV = "DAV:";
  private static final Pattern ORIGIN = Pattern.compile("^[A-Za-z][A-Za-z0-9+.-]*://[^/]*");

  /**
   * @param path of the address that was asked, encoded
   * @param answer the body, a {@code multistatus}
   * @throws IOException if it is none, with a sentence that says so
   */
  public static DriveListing read(String path, String answer) throws IOException {
    Element root = root(answer);
    if (!DAV.equals(root.getNamespaceURI()) || !"multistatus".equals(root.getLocalName())) {
      throw new IOException(DriveAnswer.NO_DRIVE.words());
    }
    List<String> asked = DrivePath.decoded(path);
    boolean isFolder = false;
    List<String> folders = new ArrayList<>();
    List<String> files = new ArrayList<>();
    for (Element response : children(root, "response")) {
      String href =
          children(response, "href").stream().findFirst().map(DriveListing::text).orElse("");
      List<String> names = DrivePath.decoded(ORIGIN.matcher(href).replaceFirst(""));
      boolean collection = response.getElementsByTagNameNS(DAV, "collection").getLength() > 0;
      if (names.equals(asked)) {
        isFolder = collection;
      } else if (names.size() == asked.size() + 1 && names.subList(0, asked.size()).equals(asked)) {
        (collection ? folders : files).add(names.get(names.size() - 1));
      }
    }
    return new DriveListing(isFolder, sorted(folders), sorted(files));
  }

  /** Also with folders that are not made yet. */
  public DriveListing withFolders(List<String> more) {
    return new DriveListing(
        isFolder,
        sorted(Stream.concat(folders.stream(), more.stream()).distinct().toList()),
        files);
  }

  private static List<String> sorted(List<String> names) {
    return names.stream().sorted(Collator.getInstance(Locale.ROOT)).toList();
  }

  private static Element root(String answer) throws IOException {
    try {
      return Xml.tree(answer);
    } catch (SAXException broken) {
      throw new IOException("What the drive answered cannot be read.", broken);
    }
  }

  private static String text(Element element) {
    return element.getTextContent().strip();
  }

  private static List<Element> children(Element of, String name) {
    List<Element> found = new ArrayList<>();
    for (Node child = of.getFirstChild(); child != null; child = child.getNextSibling()) {
      if (child instanceof Element inner
          && DAV.equals(inner.getNamespaceURI())
          && name.equals(inner.getLocalName())) {
        found.add(inner);
      }
    }
    return found;
  }
}
