package org.quietlantern.core.vocabulary;

import java.io.IOException;
import java.io.StringReader;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.eclipse.rdf4j.model.Literal;
import org.eclipse.rdf4j.model.Statement;
import org.eclipse.rdf4j.model.Value;
import org.eclipse.rdf4j.rio.RDFHandlerException;
import org.eclipse.rdf4j.rio.RDFParseException;
import org.eclipse.rdf4j.rio.RDFParser;
import org.eclipse.rdf4j.rio.helpers.AbstractRDFHandler;
import org.eclipse.rdf4j.rio.helpers.XMLParserSettings;
import org.eclipse.rdf4j.rio.rdfxml.RDFXMLParser;
import org.eclipse.rdf4j.rio.turtle.TurtleParser;

/**
 * Reads terms from SKOS (W3C Recommendation 18 August 2009) in Turtle 1.1 or RDF/XML 1.1: schemes,
 * names, notes, what is broader, narrower and related; with them {@code owl:deprecated} and {@code
 * dct:isReplacedBy}. Everything else is passed over. What is wrong with a term is told with its
 * line; the rest is read.
 */
public final class SkosReader {
  static final String SKOS = "http://www.w3.org/2004/02/skos/core#";
  static final String REPLACED_BY = "http://purl.org/dc/terms/isReplacedBy";
  static final String DEPRECATED = "http://www.w3.org/2002/07/owl#deprecated";

  /** In which respects a publication can be about a heading: our own, SKOS has no word for it. */
  static final String ASPECT = "urn:quietlantern:def:aspect";

  private static final Pattern ABOUT = Pattern.compile("rdf:about=\"([^\"]*)\"");

  private final Map<String, Reading> terms = new LinkedHashMap<>();
  private final List<Problem> problems = new ArrayList<>();
  private final Map<String, Long> lines = new HashMap<>();
  private long line;

  private SkosReader() {}

  /** {@code line} 0: of the file as a whole. */
  public record Problem(long line, String sentence) {
    @Override
    public String toString() {
      return line > 0 ? "line " + line + ": " + sentence : sentence;
    }
  }

  /** What reading came to: the terms that can be used, and what is wrong, by line. */
  public record Read(List<Concept> concepts, List<Problem> problems) {
    public Read {
      concepts = List.copyOf(concepts);
      problems = List.copyOf(problems);
    }
  }

  /** A file as it came; only UTF-8 is read. */
  public static Read read(byte[] file) {
    try {
      return read(StandardCharsets.UTF_8.newDecoder().decode(ByteBuffer.wrap(file)).toString());
    } catch (CharacterCodingException wrong) {
      return new Read(List.of(), List.of(new Problem(lineOfDamage(file), "this is not UTF-8")));
    }
  }

  private static long lineOfDamage(byte[] file) {
    String[] lines = new String(file, StandardCharsets.UTF_8).split("\n", -1);
    for (int i = 0; i < lines.length; i++) {
      if (lines[i].indexOf('\uFFFD') >= 0) {
        return i + 1L;
      }
    }
    return 0;
  }

  public static Read read(String text) {
    boolean isXml = text.stripLeading().startsWith("<?xml") || text.contains("<rdf:RDF");
    SkosReader reader = new SkosReader();
    RDFParser parser = isXml ? new RDFXMLParser() : new TurtleParser();
    parser.set(XMLParserSettings.DISALLOW_DOCTYPE_DECL, true);
    parser.setRDFHandler(reader.new Taking());
    if (isXml) {
      reader.findLines(text);
    } else {
      parser.setParseLocationListener((at, column) -> reader.line = at);
    }
    try {
      parser.parse(new StringReader(text), "urn:quietlantern:");
    } catch (RDFParseException broken) {
      return new Read(
          List.of(), List.of(new Problem(Math.max(0, broken.getLineNumber()), said(broken))));
    } catch (RDFHandlerException | IOException failed) {
      return new Read(List.of(), List.of(new Problem(0, said(failed))));
    }
    return reader.read();
  }

  /** The parser of RDF/XML does not tell where it is: the lines where terms begin. */
  private void findLines(String text) {
    String[] all = text.split("\n", -1);
    for (int i = 0; i < all.length; i++) {
      Matcher about = ABOUT.matcher(all[i]);
      while (about.find()) {
        lines.putIfAbsent(about.group(1), i + 1L);
      }
    }
  }

  private static String said(Exception broken) {
    return String.valueOf(broken.getMessage()).replaceAll(" \\[line \\d+.*", "");
  }

  private Read read() {
    List<Reading> named = new ArrayList<>();
    terms.forEach(
        (uri, term) -> {
          if (term.label.isEmpty()) {
            problem(term.line, uri + " has no preferred name");
          } else {
            named.add(term);
          }
        });
    new SkosChecks(named, this::problem).run();
    problems.sort(Comparator.comparingLong(Problem::line));
    return new Read(named.stream().map(Reading::concept).toList(), problems);
  }

  private void problem(long at, String sentence) {
    problems.add(new Problem(at, sentence));
  }

  /** What is known so far of a term, and where its file said so. */
  static final class Reading {
    final String uri;
    final long line;
    String scheme = "";
    String label = "";
    private String language = "";
    String note = "";
    private boolean retired;
    final List<String> names = new ArrayList<>();
    final Map<String, Long> broader = new LinkedHashMap<>();
    final Map<String, Long> related = new LinkedHashMap<>();
    final Map<String, Long> replacedBy = new LinkedHashMap<>();
    final List<String> aspects = new ArrayList<>();

    Reading(String uri, long line) {
      this.uri = uri;
      this.line = line;
    }

    private Concept concept() {
      return new Concept(
          uri,
          scheme,
          label,
          names,
          List.copyOf(broader.keySet()),
          List.copyOf(related.keySet()),
          note,
          aspects,
          new Concept.Fate(
              retired || !replacedBy.isEmpty(), List.copyOf(replacedBy.keySet()), List.of()));
    }
  }

  private final class Taking extends AbstractRDFHandler {
    @Override
    public void handleStatement(Statement statement) {
      String predicate = statement.getPredicate().stringValue();
      String uri = statement.getSubject().stringValue();
      Value value = statement.getObject();
      line = lines.getOrDefault(uri, line);
      switch (predicate) {
        case REPLACED_BY -> of(uri).replacedBy.put(value.stringValue(), line);
        case DEPRECATED -> of(uri).retired = Boolean.parseBoolean(value.stringValue());
        case ASPECT -> of(uri).aspects.add(value.stringValue());
        default -> {
          if (predicate.startsWith(SKOS)) {
            take(predicate.substring(SKOS.length()), uri, value);
          }
        }
      }
    }

    private void take(String what, String uri, Value value) {
      String text = value.stringValue().strip();
      switch (what) {
        case "inScheme" -> of(uri).scheme = text;
        case "prefLabel" -> preferred(of(uri), value, text);
        case "altLabel", "hiddenLabel" -> of(uri).names.add(text);
        case "broader" -> of(uri).broader.put(text, line);
        case "narrower" -> of(text).broader.put(uri, line);
        case "related" -> of(uri).related.put(text, line);
        case "definition", "scopeNote" -> of(uri).note = (of(uri).note + " " + text).strip();
        default -> {
          // Not needed.
        }
      }
    }

    /** English, or without a language, wins; names in other languages are other names. */
    private void preferred(Reading term, Value value, String text) {
      String language = value instanceof Literal words ? words.getLanguage().orElse("") : "";
      if (term.label.isEmpty()) {
        term.label = text;
        term.language = language;
      } else if (language.equals(term.language)) {
        problem(
            line, term.uri + " has two preferred names: “%s”, “%s”".formatted(term.label, text));
        term.names.add(text);
      } else if (language.equals("en")) {
        term.names.add(term.label);
        term.label = text;
        term.language = language;
      } else {
        term.names.add(text);
      }
    }

    private Reading of(String uri) {
      return terms.computeIfAbsent(uri, u -> new Reading(u, line));
    }
  }
}
