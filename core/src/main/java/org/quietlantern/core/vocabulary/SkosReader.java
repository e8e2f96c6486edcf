package org.quietlantern.core.vocabulary;

import java.io.IOException;
import java.io.StringReader;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.IntConsumer;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.eclipse.rdf4j.model.Literal;
import org.eclipse.rdf4j.model.Statement;
import org.eclipse.rdf4j.model.Value;
import org.eclipse.rdf4j.model.vocabulary.DCTERMS;
import org.eclipse.rdf4j.model.vocabulary.OWL;
import org.eclipse.rdf4j.model.vocabulary.RDF;
import org.eclipse.rdf4j.model.vocabulary.SKOS;
import org.eclipse.rdf4j.rio.RDFHandlerException;
import org.eclipse.rdf4j.rio.RDFParseException;
import org.eclipse.rdf4j.rio.RDFParser;
import org.eclipse.rdf4j.rio.helpers.AbstractRDFHandler;
import org.eclipse.rdf4j.rio.helpers.XMLParserSettings;
import org.eclipse.rdf4j.rio.rdfxml.RDFXMLParser;
import org.eclipse.rdf4j.rio.turtle.TurtleParser;

/**
 * Reads terms from SKOS (W3C Recommendation 18 August 2009) in Turtle, RDF/XML or JSON-LD: schemes,
 * names, notes, what is broader, narrower and related; with them {@code owl:deprecated} and {@code
 * dct:isReplacedBy}. Schemes and collections are no terms. Everything else is passed over. What is
 * wrong with a term is told with its line; the rest is read.
 */
public final class SkosReader {
  static final String OURS = "urn:quietlantern:def:";

  /** In which respects a publication can be about a heading: our own, SKOS has no word for it. */
  static final String ASPECT = OURS + "aspect";

  private static final Set<Value> NO_TERMS =
      Set.of(SKOS.CONCEPT_SCHEME, SKOS.COLLECTION, SKOS.ORDERED_COLLECTION);
  private static final Pattern ABOUT = Pattern.compile("rdf:about=\"([^\"]*)\"");
  private static final String MARK = "\uFEFF";

  /** Terms between two words of how far reading is. */
  private static final int TELL_EVERY = 250;

  private final Map<String, Reading> terms = new LinkedHashMap<>();
  private final Set<String> noTerms = new HashSet<>();
  private final List<Problem> problems = new ArrayList<>();
  private final Map<String, Long> lines = new HashMap<>();
  private final IntConsumer progress;
  private long line;

  private SkosReader(IntConsumer progress) {
    this.progress = progress;
  }

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

    private static Read none(long line, String why) {
      return new Read(List.of(), List.of(new Problem(line, why)));
    }
  }

  /** A file as it came; only UTF-8 is read, with or without its mark. */
  public static Read read(byte[] file) {
    return read(file, terms -> {});
  }

  /**
   * The same, for a large one.
   *
   * @param progress told how many terms were read, again and again; what it throws ends the reading
   */
  public static Read read(byte[] file, IntConsumer progress) {
    try {
      return read(
          StandardCharsets.UTF_8.newDecoder().decode(ByteBuffer.wrap(file)).toString(), progress);
    } catch (CharacterCodingException wrong) {
      return Read.none(lineOfDamage(file), "this is not UTF-8");
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

  public static Read read(String marked) {
    return read(marked, terms -> {});
  }

  private static Read read(String marked, IntConsumer progress) {
    String text = marked.startsWith(MARK) ? marked.substring(MARK.length()) : marked;
    SkosFormat format = SkosFormat.of(text);
    SkosReader reader = new SkosReader(progress);
    try {
      switch (format) {
        case TURTLE -> reader.parse(new TurtleParser(), text);
        case RDF_XML -> {
          reader.findLines(text);
          reader.parse(new RDFXMLParser(), text);
        }
        case JSON_LD -> JsonLd.read(text).forEach(reader.new Taking()::handleStatement);
      }
    } catch (RDFParseException broken) {
      return Read.none(
          Math.max(0, broken.getLineNumber()), SkosMessages.plain(format, broken.getMessage()));
    } catch (RDFHandlerException | IOException | JsonLd.Unreadable failed) {
      return Read.none(0, SkosMessages.plain(format, failed.getMessage()));
    }
    return reader.read();
  }

  private void parse(RDFParser parser, String text) throws IOException {
    parser.set(XMLParserSettings.DISALLOW_DOCTYPE_DECL, true);
    parser.setRDFHandler(new Taking());
    if (lines.isEmpty()) {
      parser.setParseLocationListener((at, column) -> line = Math.max(0, at));
    }
    parser.parse(new StringReader(text), "urn:quietlantern:");
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

  private Read read() {
    List<Reading> named = new ArrayList<>();
    terms.forEach(
        (uri, term) -> {
          if (noTerms.contains(uri)) {
            return;
          }
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
    private OtherStatement preferred;
    private boolean retired;
    private final List<OtherStatement> said = new ArrayList<>();
    final Map<String, Long> broader = new LinkedHashMap<>();
    final Map<String, Long> related = new LinkedHashMap<>();
    final Map<String, Long> replacedBy = new LinkedHashMap<>();
    final List<String> aspects = new ArrayList<>();

    Reading(String uri, long line) {
      this.uri = uri;
      this.line = line;
    }

    /** The preferred name in English, or without a language, comes before those in others. */
    private void prefer(OtherStatement name) {
      if (preferred == null || (name.isEnglish() && !preferred.isEnglish())) {
        preferred = name;
        label = name.text();
      }
    }

    private Concept concept() {
      return new Concept(
          uri,
          scheme,
          label,
          names(),
          List.copyOf(broader.keySet()),
          List.copyOf(related.keySet()),
          note(),
          aspects,
          new Concept.Fate(
              retired || !replacedBy.isEmpty(), List.copyOf(replacedBy.keySet()), List.of()),
          said);
    }

    /** In all languages: a member looks a heading up in their own. */
    private List<String> names() {
      return said.stream()
          .filter(each -> each.isName() || (each.isPreferred() && !each.equals(preferred)))
          .map(OtherStatement::text)
          .distinct()
          .toList();
    }

    /** In English where there is one, each on a line of its own. */
    private String note() {
      List<OtherStatement> notes = said.stream().filter(OtherStatement::isMeaning).toList();
      boolean english = notes.stream().anyMatch(OtherStatement::isEnglish);
      return String.join(
          "\n",
          notes.stream()
              .filter(each -> !english || each.isEnglish())
              .map(OtherStatement::text)
              .toList());
    }
  }

  private final class Taking extends AbstractRDFHandler {
    @Override
    public void handleStatement(Statement statement) {
      String uri = statement.getSubject().stringValue();
      Value value = statement.getObject();
      line = lines.getOrDefault(uri, line);
      if (statement.getPredicate().equals(RDF.TYPE)) {
        if (NO_TERMS.contains(value)) {
          noTerms.add(uri);
        }
      } else if (statement.getPredicate().equals(DCTERMS.IS_REPLACED_BY)) {
        of(uri).replacedBy.put(value.stringValue(), line);
      } else if (statement.getPredicate().equals(OWL.DEPRECATED)) {
        of(uri).retired = Boolean.parseBoolean(value.stringValue());
      } else if (statement.getPredicate().stringValue().equals(ASPECT)) {
        of(uri).aspects.add(value.stringValue());
      } else if (statement.getPredicate().getNamespace().equals(SKOS.NAMESPACE)) {
        take(statement.getPredicate().getLocalName(), uri, value);
      }
    }

    private void take(String what, String uri, Value value) {
      String text = value.stringValue().strip();
      switch (what) {
        case "inScheme", "topConceptOf" -> of(uri).scheme = text;
        case "hasTopConcept" -> of(text).scheme = uri;
        case "broader" -> of(uri).broader.put(text, line);
        case "narrower" -> of(text).broader.put(uri, line);
        case "related" -> of(uri).related.put(text, line);
        default -> {
          if (value instanceof Literal words && OtherStatement.isKept(what)) {
            say(of(uri), new OtherStatement(what, words.getLanguage().orElse(""), text));
          }
        }
      }
    }

    private void say(Reading term, OtherStatement said) {
      if (said.isPreferred()) {
        term.said.stream()
            .filter(OtherStatement::isPreferred)
            .filter(other -> other.language().equals(said.language()) && !other.equals(said))
            .findFirst()
            .ifPresent(
                other ->
                    problem(
                        line,
                        term.uri
                            + " has two preferred names: “%s”, “%s”"
                                .formatted(other.text(), said.text())));
        term.prefer(said);
      }
      term.said.add(said);
    }

    private Reading of(String uri) {
      return terms.computeIfAbsent(
          uri,
          u -> {
            if (terms.size() % TELL_EVERY == 0) {
              progress.accept(terms.size());
            }
            return new Reading(u, line);
          });
    }
  }
}
