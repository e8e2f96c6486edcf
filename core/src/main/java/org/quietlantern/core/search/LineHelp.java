package org.quietlantern.core.search;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.apache.lucene.search.Query;
import org.quietlantern.core.query.Field;
import org.quietlantern.core.query.Line;
import org.quietlantern.core.query.Parsed;
import org.quietlantern.core.query.Parser;
import org.quietlantern.core.query.Span;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.query.Term;
import org.quietlantern.core.query.Widening;
import org.quietlantern.core.search.analysis.Capitals;
import org.quietlantern.core.search.analysis.ShortForms;
import org.quietlantern.core.vocabulary.Concept;
import org.quietlantern.core.vocabulary.Headings;

/** What there is to know and to offer about the words of one line (rules M4 to M7, M11). */
public final class LineHelp {
  private final Snapshot snapshot;
  private final IndexState state;
  private final Lexicon lexicon;
  private final SearchContext circumstances;
  private final Library library;
  private final Map<String, Met> known = new HashMap<>();

  /** An unquoted word and the forms that it meets. */
  public record Met(String typed, List<String> forms) {
    public Met {
      forms = List.copyOf(forms);
    }
  }

  /** What sort of offer it is. */
  public enum Kind {
    /** Another spelling or an irregular form. */
    VARIANT,
    /** What an abbreviation stands for, or the other way round. */
    ABBREVIATION,
    /** Another name of the heading that a word or phrase names: an everyday or a formal one. */
    NAME,
    /** A known word for one that is in no publication; it takes its place. */
    SPELLING,
    /** Only where the word is written in capitals; it takes its place. */
    CAPITALS,
    /** The heading that words which find nothing are a name of; it takes their place. */
    HEADING;

    /** Whether it stands in place of what was typed, not beside it. */
    public boolean inPlace() {
      return this == SPELLING || this == CAPITALS || this == HEADING;
    }
  }

  /**
   * Something to put into a line.
   *
   * @param span of what was typed that it belongs to
   * @param text to put beside it with <i>or</i>, or in its place
   * @param count what the text finds alone
   */
  public record Offer(Kind kind, Span span, String text, int count) {}

  /** How many publications a line finds in one field. */
  public record Place(Field field, int count) {}

  /** What a widening would add to its line and to the result. */
  public record Gain(Widening widening, int line, int result) {}

  public LineHelp(Snapshot snapshot, SearchContext circumstances, Library library) {
    this.snapshot = snapshot;
    this.state = snapshot.state();
    this.lexicon = snapshot.state().lexicon();
    this.circumstances = circumstances;
    this.library = library;
  }

  /** Forms met by each unquoted word. */
  public List<Met> forms(Line.Words line) {
    Map<String, Met> met = new LinkedHashMap<>();
    for (MatchingTerms.Leaf leaf : leaves(line)) {
      if (leaf.term() instanceof Term.Word word) {
        met.put(word.text(), known.computeIfAbsent(word.text(), this::met));
      }
    }
    return met.values().stream().filter(m -> m.forms().size() > 0).toList();
  }

  private Met met(String typed) {
    return new Met(typed, new WordForms(lexicon).of(typed));
  }

  /** What has to be said at once: spellings of unknown words, and capitals. */
  public List<Offer> pressing(Line.Words line) {
    Set<Offer> offers = new LinkedHashSet<>();
    for (MatchingTerms.Leaf leaf : leaves(line)) {
      if (isUnknown(leaf)) {
        headingNamed(leaf).ifPresent(offers::add);
        offers.addAll(spellings(leaf.term()));
      }
      offers.addAll(capitals(leaf.term()));
    }
    return offers.stream().filter(offer -> offer.count() > 0).toList();
  }

  private boolean isUnknown(MatchingTerms.Leaf leaf) {
    return !(leaf.term() instanceof Term.Cut) && count(query(leaf.term())) == 0;
  }

  /** The heading that a word or phrase names, with all below it where it alone has nothing. */
  private Optional<Offer> headingNamed(MatchingTerms.Leaf leaf) {
    String typed = MatchingTerms.unquoted(leaf.term());
    return leaf.fields().equals(IndexFields.DEFAULTS)
        ? circumstances.headings().find(typed).map(named -> heading(leaf.term(), named.heading()))
        : Optional.empty();
  }

  private Offer heading(Term typed, Concept heading) {
    Offer alone = offer(Kind.HEADING, typed, "heading/exact: \"" + heading.label() + "\"");
    return alone.count() > 0
        ? alone
        : offer(Kind.HEADING, typed, "heading/narrower: \"" + heading.label() + "\"");
  }

  public List<Offer> offers(Line.Words line) {
    Set<Offer> offers = new LinkedHashSet<>(pressing(line));
    for (MatchingTerms.Leaf leaf : leaves(line)) {
      Widener.variants(leaf.term(), lexicon)
          .forEach(
              variant ->
                  offers.add(offer(Kind.VARIANT, leaf.term(), MatchingTerms.typed(variant))));
      offers.addAll(abbreviations(leaf.term()));
      offers.addAll(names(leaf));
    }
    return offers.stream().filter(offer -> offer.count() > 0).toList();
  }

  private List<MatchingTerms.Leaf> leaves(Line.Words line) {
    return MatchingTerms.ofWords(line);
  }

  private Offer offer(Kind kind, Term beside, String text) {
    Parsed parsed = Parser.parse(text);
    int count = parsed.tree().map(tree -> count(query(tree))).orElse(0);
    return new Offer(kind, MatchingTerms.span(beside), text, count);
  }

  private Query query(Term term) {
    return term.match(
        new TermCompiler(
            lexicon, circumstances.headings(), circumstances.texts(), false, List.of()));
  }

  private int count(Query query) {
    return state.sets().of(query).count();
  }

  private List<Offer> spellings(Term term) {
    if (!(term instanceof Term.Word word)) {
      return List.of();
    }
    return new Spelling(snapshot.reader())
        .like(word.text()).stream().map(text -> offer(Kind.SPELLING, term, text)).toList();
  }

  private List<Offer> abbreviations(Term term) {
    String typed = MatchingTerms.typed(term).replace("\"", "").toLowerCase(Locale.ROOT);
    return lexicon.beginning(IndexFields.SHORT_FORMS, typed + "=", way -> true).stream()
        .map(ShortForms::other)
        .map(other -> other.indexOf(' ') < 0 ? other : "\"" + other + "\"")
        .map(text -> offer(Kind.ABBREVIATION, term, text))
        .sorted(Comparator.comparingInt(Offer::count).reversed())
        .toList();
  }

  /** What else the heading is called that a word or phrase is a name of, in every language. */
  private List<Offer> names(MatchingTerms.Leaf leaf) {
    if (!leaf.fields().equals(IndexFields.DEFAULTS)) {
      return List.of();
    }
    String typed = MatchingTerms.unquoted(leaf.term());
    return circumstances.headings().find(typed).stream()
        .flatMap(named -> Headings.namesOf(named.heading()).stream())
        .filter(name -> !Headings.areOneName(name, typed))
        .map(name -> offer(Kind.NAME, leaf.term(), quoted(name)))
        .sorted(Comparator.comparingInt(Offer::count).reversed())
        .toList();
  }

  private static String quoted(String name) {
    return name.matches("\\p{L}+")
        ? name.toLowerCase(Locale.ROOT)
        : "\"" + name.replace('"', ' ') + "\"";
  }

  /** Where a word typed in capitals is an everyday word, too. */
  private List<Offer> capitals(Term term) {
    if (!(term instanceof Term.Word word) || !Capitals.is(word.text())) {
      return List.of();
    }
    int inCapitals =
        count(IndexFields.having(Field.CAPITALS.word(), word.text().toLowerCase(Locale.ROOT)));
    boolean everyday = inCapitals > 0 && count(query(word)) > inCapitals;
    return everyday
        ? List.of(
            new Offer(
                Kind.CAPITALS, word.span(), Field.CAPITALS.word() + ": " + word.text(), inCapitals))
        : List.of();
  }

  /** A heading as a whole is found among the headings alone. */
  private TermCompiler placed(Field field) {
    return field == Field.HEADING
        ? new TermCompiler(
            lexicon, circumstances.headings(), circumstances.texts(), false, List.of(field))
        : TermCompiler.inOnly(field, lexicon, circumstances.texts());
  }

  /** The default fields, and inside texts where there are any (rule M11). */
  private Stream<Field> placesOfWords() {
    Stream<Field> inside = circumstances.texts().isEmpty() ? Stream.empty() : Stream.of(Field.TEXT);
    return Stream.concat(IndexFields.DEFAULTS.stream(), inside);
  }

  /** How many the line finds in each of the default fields. */
  public List<Place> places(Line.Words line) {
    List<Place> places = new ArrayList<>();
    line.parsed()
        .tree()
        .ifPresent(
            tree ->
                placesOfWords()
                    .forEach(
                        field -> {
                          Query query = tree.match(placed(field));
                          places.add(new Place(field, count(query)));
                        }));
    return places;
  }

  /** What each widening that works would add, if it is not on already. */
  public List<Gain> gains(Strategy strategy, Line.Words line) {
    return Stream.of(Widening.values())
        .filter(widening -> works(widening) && !line.widened().contains(widening))
        .map(widening -> gain(strategy, line, widening))
        .toList();
  }

  /** Inside texts nothing can be looked for where there are none. */
  public boolean works(Widening widening) {
    return widening != Widening.TEXT || !circumstances.texts().isEmpty();
  }

  private Gain gain(Strategy strategy, Line.Words line, Widening widening) {
    Line.Words wide = line.wider(EnumSet.of(widening));
    Strategy widened =
        new Strategy(
            strategy.lines().stream()
                .map(l -> l.id().equals(line.id()) ? wide.switched(line.off()) : l)
                .toList());
    int alone = alone(wide) - alone(line);
    return new Gain(widening, alone, whole(widened) - whole(strategy));
  }

  private int alone(Line.Words line) {
    return whole(new Strategy(List.of(line.switched(false))));
  }

  /** What a strategy finds; 0 if it cannot be searched. */
  private int whole(Strategy strategy) {
    return snapshot.count(strategy, circumstances, library).orElse(0);
  }
}
