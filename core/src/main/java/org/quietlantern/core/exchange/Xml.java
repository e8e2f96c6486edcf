package org.quietlantern.core.exchange;

import java.io.IOException;
import java.io.Reader;
import java.io.StringReader;
import javax.xml.XMLConstants;
import javax.xml.parsers.DocumentBuilder;
import javax.xml.parsers.DocumentBuilderFactory;
import javax.xml.parsers.ParserConfigurationException;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import org.w3c.dom.Element;
import org.xml.sax.ErrorHandler;
import org.xml.sax.InputSource;
import org.xml.sax.SAXException;
import org.xml.sax.SAXParseException;

/** XML readers for hostile input: no DOCTYPE, no entities of its own, nothing fetched. */
public final class Xml {
  /** How deep elements may stand in each other; without it, reading them ends the thread. */
  private static final String DEPTH = "http://www.oracle.com/xml/jaxp/properties/maxElementDepth";

  /** Dear to make, and for one thread at a time. */
  private static final ThreadLocal<DocumentBuilder> BUILDERS =
      ThreadLocal.withInitial(Xml::builder);

  private Xml() {}

  /** A streaming reader, for what may be large; long text comes in pieces. */
  public static XMLStreamReader stream(Reader text) throws XMLStreamException {
    XMLInputFactory factory = XMLInputFactory.newDefaultFactory();
    factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
    factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
    return factory.createXMLStreamReader(text);
  }

  /** The root of a small document. */
  public static Element tree(String text) throws SAXException {
    try {
      return BUILDERS.get().parse(new InputSource(new StringReader(text))).getDocumentElement();
    } catch (IOException impossible) {
      throw new IllegalStateException(impossible);
    }
  }

  private static DocumentBuilder builder() {
    try {
      DocumentBuilderFactory factory = DocumentBuilderFactory.newDefaultInstance();
      factory.setNamespaceAware(true);
      factory.setFeature(XMLConstants.FEATURE_SECURE_PROCESSING, true);
      factory.setFeature("http://apache.org/xml/features/disallow-doctype-decl", true);
      factory.setAttribute(DEPTH, "100");
      factory.setXIncludeAware(false);
      factory.setExpandEntityReferences(false);
      DocumentBuilder builder = factory.newDocumentBuilder();
      builder.setErrorHandler(new Strict());
      return builder;
    } catch (ParserConfigurationException impossible) {
      throw new IllegalStateException(impossible);
    }
  }

  /** Throws instead of printing to the error stream. */
  private static final class Strict implements ErrorHandler {
    @Override
    public void warning(SAXParseException warning) {
      // A warning says nothing about whether the text can be read.
    }

    @Override
    public void error(SAXParseException error) throws SAXException {
      throw error;
    }

    @Override
    public void fatalError(SAXParseException error) throws SAXException {
      throw error;
    }
  }
}
