package org.quietlantern.server.harvest;

import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import org.quietlantern.core.exchange.ReplacingReader;
import org.quietlantern.core.exchange.Xml;
import org.quietlantern.core.publication.Text;

/**
 * What a source says of itself: an answer to Identify, ListMetadataFormats or ListSets (OAI-PMH
 * 2.0, 4.2, 4.4, 4.6). What an answer does not say is empty.
 *
 * @param deletes {@code no}, {@code transient} or {@code persistent}
 * @param token of the next page of sets
 */
record OaiDescription(
    boolean answers,
    String name,
    String deletes,
    String earliest,
    List<FormatNamed> formats,
    List<SetNamed> sets,
    Optional<String> token,
    Optional<String> error) {

  /** A part of a source that can be harvested alone. */
  record SetNamed(String set, String name) {}

  /** A format under the prefix by which it is asked for. */
  record FormatNamed(String prefix, String namespace) {}

  private static final String OAI = "http://www.openarchives.org/OAI/2.0/";
  private static final int LONGEST = 200;

  /** Parts of one answer that are kept. */
  private static final int MOST = 2_000;

  static OaiDescription read(InputStream body) throws IOException {
    try {
      return new Reader(Xml.stream(new ReplacingReader(body))).description();
    } catch (XMLStreamException broken) {
      throw new IOException("the answer is no XML: " + broken.getMessage(), broken);
    }
  }

  private static final class Reader {
    private final XMLStreamReader xml;
    private final List<FormatNamed> formats = new ArrayList<>();
    private final List<SetNamed> sets = new ArrayList<>();
    private boolean answers;
    private String name = "";
    private String deletes = "";
    private String earliest = "";
    private String set = "";
    private String prefix = "";
    private Optional<String> token = Optional.empty();
    private Optional<String> error = Optional.empty();

    Reader(XMLStreamReader xml) {
      this.xml = xml;
    }

    OaiDescription description() throws XMLStreamException {
      while (xml.hasNext()) {
        if (xml.next() == XMLStreamConstants.START_ELEMENT && OAI.equals(xml.getNamespaceURI())) {
          element(xml.getLocalName());
        }
      }
      return new OaiDescription(answers, name, deletes, earliest, formats, sets, token, error);
    }

    private void element(String element) throws XMLStreamException {
      switch (element) {
        case "OAI-PMH" -> answers = true;
        case "repositoryName" -> name = text();
        case "deletedRecord" -> deletes = text();
        case "earliestDatestamp" -> earliest = text();
        case "metadataPrefix" -> prefix = text();
        case "metadataNamespace" -> add(formats, new FormatNamed(prefix, text()));
        case "setSpec" -> set = text();
        case "setName" -> add(sets, new SetNamed(set, text()));
        case "resumptionToken" -> token = Optional.of(xml.getElementText().strip());
        case "error" -> error = Optional.ofNullable(xml.getAttributeValue(null, "code"));
        default -> {
          // Whatever else it says is not asked.
        }
      }
    }

    private static <T> void add(List<T> all, T one) {
      if (all.size() < MOST) {
        all.add(one);
      }
    }

    private String text() throws XMLStreamException {
      return Text.atMost(LONGEST, Text.clean(xml.getElementText()));
    }
  }
}
