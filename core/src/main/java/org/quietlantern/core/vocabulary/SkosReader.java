package org.quietlantern.core.vocabulary;

import java.io.IOException;
import java.io.StringReader;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.eclipse.rdf4j.model.Statement;
import org.eclipse.rdf4j.model.Value;
import org.eclipse.rdf4j.rio.RDFHandlerException;
import org.eclipse.rdf4j.rio.RDFParseException;
import org.eclipse.rdf4j.rio.helpers.AbstractRDFHandler;
import org.eclipse.rdf4j.rio.turtle.TurtleParser;

/**
 * Reads terms from SKOS (W3C Recommendation 18 August 2009) in Turtle 1.1: schemes, preferred and
 * other names, and what is broader. Everything else is passed over.
 */
public final class SkosReader {
  private static final String SKOS = "http://www.w3.org/2004/02/skos/core#";
  private final Map<String, Reading> concepts = new LinkedHashMap<>();

  private SkosReader() {}

  /** What is known so far of a term. */
  private static final class Reading {
    private String scheme = "";
    private String label = "";
    private final List<String> names = new ArrayList<>();
    private final List<String> broader = new ArrayList<>();
  }

  /** What reading came to: terms, or why the file cannot be read, with its line. */
  public record Read(List<Concept> concepts, List<String> problems) {
    public Read {
      concepts = List.copyOf(concepts);
      problems = List.copyOf(problems);
    }
  }

  public static Read read(String turtle) {
    SkosReader reader = new SkosReader();
    TurtleParser parser = new TurtleParser();
    parser.setRDFHandler(reader.new Taking());
    try {
      parser.parse(new StringReader(turtle), "urn:quietlantern:");
    } catch (RDFParseException broken) {
      String line = broken.getLineNumber() > 0 ? "line " + broken.getLineNumber() + ": " : "";
      return new Read(List.of(), List.of(line + broken.getMessage()));
    } catch (RDFHandlerException | IOException failed) {
      return new Read(List.of(), List.of(String.valueOf(failed.getMessage())));
    }
    return reader.read();
  }

  private Read read() {
    List<Concept> read = new ArrayList<>();
    List<String> problems = new ArrayList<>();
    concepts.forEach(
        (uri, c) -> {
          if (c.label.isEmpty()) {
            problems.add(uri + " has no preferred name");
          } else {
            read.add(new Concept(uri, c.scheme, c.label, c.names, c.broader));
          }
        });
    return new Read(read, problems);
  }

  private final class Taking extends AbstractRDFHandler {
    @Override
    public void handleStatement(Statement statement) {
      String predicate = statement.getPredicate().stringValue();
      if (predicate.startsWith(SKOS)) {
        take(
            predicate.substring(SKOS.length()),
            statement.getSubject().stringValue(),
            statement.getObject());
      }
    }

    private void take(String what, String uri, Value value) {
      switch (what) {
        case "inScheme" -> of(uri).scheme = value.stringValue();
        case "prefLabel" -> of(uri).label = value.stringValue();
        case "altLabel" -> of(uri).names.add(value.stringValue());
        case "broader" -> of(uri).broader.add(value.stringValue());
        default -> {
          // Not needed.
        }
      }
    }

    private Reading of(String uri) {
      return concepts.computeIfAbsent(uri, u -> new Reading());
    }
  }
}
