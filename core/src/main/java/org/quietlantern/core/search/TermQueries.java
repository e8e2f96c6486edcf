package org.quietlantern.core.search;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.apache.lucene.index.Term;
import org.apache.lucene.search.BooleanClause.Occur;
import org.apache.lucene.search.MatchNoDocsQuery;
import org.apache.lucene.search.MultiPhraseQuery;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.SynonymQuery;
import org.apache.lucene.search.TermInSetQuery;
import org.apache.lucene.search.TermQuery;
import org.apache.lucene.search.TermRangeQuery;
import org.apache.lucene.util.BytesRef;
import org.quietlantern.core.query.Field;
import org.quietlantern.core.query.Problem;
import org.quietlantern.core.query.Term.Cut;
import org.quietlantern.core.query.Term.Phrase;
import org.quietlantern.core.query.Term.Word;
import org.quietlantern.core.search.analysis.Analysis;
import org.quietlantern.core.search.analysis.Patterns;

/** One word, cut word or phrase as a query in one field after another. */
final class TermQueries {
  private static final Pattern YEARS = Pattern.compile("(\\d{4})?([-–])?(\\d{4})?");
  private static final int SCORED_TOGETHER = 256;
  private final Lexicon lexicon;
  private final org.quietlantern.core.query.Term term;
  private final Map<Cut, Integer> covers = new LinkedHashMap<>();
  private Optional<Problem> tooWide = Optional.empty();
  private Optional<Problem.Code> unreadable = Optional.empty();
  private boolean met;

  TermQueries(Lexicon lexicon, org.quietlantern.core.query.Term term) {
    this.lexicon = lexicon;
    this.term = term;
  }

  Map<Cut, Integer> covers() {
    return covers;
  }

  Optional<Problem> tooWide() {
    return tooWide;
  }

  Optional<Problem.Code> unreadable() {
    return unreadable;
  }

  /** Whether every word was found somewhere in the fields tried. */
  boolean isMet() {
    return met;
  }

  /** Words in running text. */
  Query inText(String field) {
    boolean asWritten = !(term instanceof Word);
    String name = asWritten ? IndexFields.exact(field) : IndexFields.stemmed(field);
    List<Query> ways =
        Patterns.of(term, asWritten ? Analysis.EXACT : Analysis.STEMMED).stream()
            .filter(slots -> !slots.isEmpty())
            .map(slots -> sequence(name, slots))
            .toList();
    return ways.isEmpty()
        ? new MatchNoDocsQuery("no word in it")
        : TermCompiler.joined(ways, Occur.SHOULD);
  }

  private Query sequence(String field, List<Patterns.Slot> slots) {
    List<List<String>> words = slots.stream().map(slot -> words(field, slot)).toList();
    if (words.stream().anyMatch(List::isEmpty)) {
      return new MatchNoDocsQuery("a word that is in no publication");
    }
    met = true;
    if (words.size() == 1) {
      return anyOf(field, words.get(0));
    }
    MultiPhraseQuery.Builder phrase = new MultiPhraseQuery.Builder();
    for (List<String> place : words) {
      phrase.add(place.stream().map(word -> new Term(field, word)).toArray(Term[]::new));
    }
    return phrase.build();
  }

  private List<String> words(String field, Patterns.Slot slot) {
    if (!slot.cut()) {
      return lexicon.knows(field, slot.word()) ? List.of(slot.word()) : List.of();
    }
    List<String> covered = lexicon.covered(field, slot.word());
    Cut cut = cutOf(slot);
    covers.merge(cut, covered.size(), Math::max);
    if (covered.size() > TermCompiler.WIDEST) {
      tooWide =
          Optional.of(
              new Problem(Problem.Code.CUT_TOO_WIDE, cut.span(), cut.typed(), covered.size()));
      return List.of();
    }
    return covered;
  }

  private Cut cutOf(Patterns.Slot slot) {
    if (term instanceof Cut cut) {
      return cut;
    }
    List<Cut> cuts =
        ((Phrase) term)
            .parts().stream().filter(Cut.class::isInstance).map(Cut.class::cast).toList();
    return cuts.stream()
        .filter(cut -> Patterns.of(cut, Analysis.EXACT).stream().anyMatch(s -> s.contains(slot)))
        .findFirst()
        .orElseThrow();
  }

  /** Alternatives as one word, so that a rare form weighs no more than a common one. */
  private static Query anyOf(String field, List<String> words) {
    if (words.size() == 1) {
      return new TermQuery(new Term(field, words.get(0)));
    }
    if (words.size() > SCORED_TOGETHER) {
      return new TermInSetQuery(field, words.stream().map(BytesRef::new).toList());
    }
    SynonymQuery.Builder any = new SynonymQuery.Builder(field);
    words.forEach(word -> any.addTerm(new Term(field, word)));
    return any.build();
  }

  /** Fields whose value is met as a whole: {@code kind: "conference paper"}, {@code year: 2024}. */
  Query asWhole(Field field) {
    String typed = MatchingTerms.typed(term).toLowerCase(Locale.ROOT).replace("\"", "");
    if (field == Field.YEAR && !(term instanceof Cut)) {
      return years(typed);
    }
    if (field == Field.CITEDBY) {
      List<String> works = lexicon.citedBy(typed);
      met |= !works.isEmpty();
      return new TermInSetQuery(IndexFields.DOI_HASH, works.stream().map(BytesRef::new).toList());
    }
    Patterns.Slot slot = new Patterns.Slot(typed, term instanceof Cut);
    List<String> words = new ArrayList<>(words(IndexFields.whole(field), slot));
    met |= !words.isEmpty();
    return words.isEmpty()
        ? new MatchNoDocsQuery("no such value")
        : anyOf(IndexFields.whole(field), words);
  }

  private Query years(String typed) {
    Matcher years = YEARS.matcher(typed);
    if (!years.matches() || typed.length() < 4 || (years.group(2) == null && typed.length() > 4)) {
      unreadable = Optional.of(Problem.Code.YEAR_UNREADABLE);
      return new MatchNoDocsQuery("no year");
    }
    met = true;
    boolean range = years.group(2) != null;
    String first = years.group(1);
    String last = range ? years.group(3) : first;
    boolean reversed = first != null && last != null && first.compareTo(last) > 0;
    return TermRangeQuery.newStringRange(
        Field.YEAR.word(), reversed ? last : first, reversed ? first : last, true, true);
  }
}
