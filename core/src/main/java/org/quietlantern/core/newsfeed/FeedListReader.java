package org.quietlantern.core.newsfeed;

import java.io.ByteArrayInputStream;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import org.quietlantern.core.publication.Text;

/** Reads a list of feeds (OPML 2.0, Winer 2007), however deep it is sorted. */
public final class FeedListReader {
  /** Feeds of one list that are read. */
  public static final int MOST = 500;

  private static final int LONGEST_TITLE = 200;

  private FeedListReader() {}

  /** A feed of a list. {@code title}: may be empty. */
  public record Listed(String title, String address) {}

  /** {@code left}: how many more it has. */
  public record FeedList(List<Listed> feeds, int left) {}

  /** Each address once, in the order of the list; unreadable where it is no such list. */
  public static FeedList read(byte[] bytes) throws Newsfeed.Unreadable {
    XMLInputFactory factory = XMLInputFactory.newDefaultFactory();
    factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
    factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
    Map<String, Listed> feeds = new LinkedHashMap<>();
    boolean isList = false;
    int left = 0;
    try {
      XMLStreamReader xml = factory.createXMLStreamReader(new ByteArrayInputStream(bytes));
      while (xml.hasNext()) {
        if (xml.next() != XMLStreamConstants.START_ELEMENT) {
          continue;
        }
        isList |= xml.getLocalName().equalsIgnoreCase("opml");
        String address = EntryAsWork.webAddress(attribute(xml, "xmlUrl")).orElse("");
        if (xml.getLocalName().equalsIgnoreCase("outline") && !address.isEmpty()) {
          if (feeds.size() == MOST && !feeds.containsKey(address)) {
            left++;
          } else {
            feeds.putIfAbsent(address, new Listed(title(xml), address));
          }
        }
      }
    } catch (XMLStreamException odd) {
      throw new Newsfeed.Unreadable(
          "The list cannot be read from line %d on."
              .formatted(
                  Math.max(1, odd.getLocation() == null ? 1 : odd.getLocation().getLineNumber())),
          odd);
    }
    if (!isList) {
      throw new Newsfeed.Unreadable("This is no list of feeds (OPML).", null);
    }
    return new FeedList(List.copyOf(feeds.values()), left);
  }

  private static String title(XMLStreamReader xml) {
    String title = attribute(xml, "title");
    return Text.atMost(LONGEST_TITLE, Text.clean(title.isEmpty() ? attribute(xml, "text") : title));
  }

  /** Programs write names of attributes in either case. */
  private static String attribute(XMLStreamReader xml, String name) {
    for (int n = 0; n < xml.getAttributeCount(); n++) {
      if (xml.getAttributeLocalName(n).equalsIgnoreCase(name)) {
        return xml.getAttributeValue(n);
      }
    }
    return "";
  }
}
