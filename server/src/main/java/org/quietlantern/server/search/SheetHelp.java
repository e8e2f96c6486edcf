package org.quietlantern.server.search;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import org.quietlantern.core.query.Line;
import org.quietlantern.core.query.Property;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.query.Widening;
import org.quietlantern.core.search.LineHelp;
import org.quietlantern.core.search.Passage;
import org.quietlantern.core.search.Suggestions;
import org.quietlantern.core.search.WaysOut;
import org.quietlantern.core.vocabulary.Concept;
import org.quietlantern.core.vocabulary.Headings;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.matching.Answer;
import org.quietlantern.server.matching.Matching;
import org.quietlantern.server.matching.StrategyBody;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Refusal;
import org.quietlantern.server.vocabulary.Vocabularies;
import org.springframework.stereotype.Service;

/** What the sheet offers while a strategy is written. */
@Service
class SheetHelp {
  private static final int EACH = 4;
  private static final int ALL = 10;
  private final Matching matching;
  private final Vocabularies vocabularies;
  private final Labels labels;

  /** What is known of a line's words, and what it could have besides. */
  record LineShown(List<Answer.Offer> offers, List<PlaceShown> places, List<GainShown> gains) {}

  /** How many the line finds in one field. */
  record PlaceShown(String field, int count) {}

  /** What a widening would add; {@code works} false: its place is kept. */
  record GainShown(String widening, boolean works, boolean on, int line, int result) {}

  /** One change of one line, and what the search would find with it. */
  record WayOutShown(String kind, StrategyBody.LineBody line, String text, int count) {}

  /** {@code name}: the other name of a heading that was typed. */
  record SuggestionShown(String property, String value, int count, @Nullable String name) {}

  record PassageLine(String line) {}

  SheetHelp(Matching matching, Vocabularies vocabularies, Labels labels) {
    this.matching = matching;
    this.vocabularies = vocabularies;
    this.labels = labels;
  }

  LineShown line(Member who, Strategy strategy, String id) {
    Line.Words line =
        strategy.lines().stream()
            .filter(l -> l.id().equals(id) && l instanceof Line.Words)
            .map(Line.Words.class::cast)
            .findFirst()
            .orElseThrow(() -> Refusal.unusable("line", "There is no line of words with this id."));
    return matching.look(
        who,
        look -> {
          LineHelp help = new LineHelp(look.snapshot(), look.circumstances(), look.library());
          return new LineShown(
              help.offers(line).stream().map(o -> Answer.Offer.of(line, o)).toList(),
              help.places(line).stream()
                  .map(p -> new PlaceShown(p.field().word(), p.count()))
                  .toList(),
              gains(help, strategy, line));
        });
  }

  private static String word(Enum<?> kind) {
    return kind.name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  private static List<GainShown> gains(LineHelp help, Strategy strategy, Line.Words line) {
    List<LineHelp.Gain> known = help.gains(strategy, line);
    List<GainShown> gains = new ArrayList<>();
    for (Widening widening : Widening.values()) {
      boolean on = line.widened().contains(widening);
      gains.add(
          known.stream()
              .filter(g -> g.widening() == widening)
              .map(g -> new GainShown(widening.word(), true, on, g.line(), g.result()))
              .findFirst()
              .orElse(new GainShown(widening.word(), help.works(widening), on, 0, 0)));
    }
    return gains;
  }

  List<WayOutShown> waysOut(Member who, Strategy strategy) {
    return matching.look(
        who,
        look ->
            new WaysOut(look.snapshot(), look.circumstances(), look.library())
                .of(strategy).stream()
                    .map(
                        way ->
                            new WayOutShown(
                                word(way.kind()),
                                StrategyBody.of(new Strategy(List.of(way.line()))).lines().get(0),
                                way.text(),
                                way.count()))
                    .toList());
  }

  List<SuggestionShown> suggestions(Member who, String typed) {
    return matching.look(
        who,
        look -> {
          Suggestions known = new Suggestions(look.snapshot());
          List<SuggestionShown> all = new ArrayList<>(byOtherName(known, typed));
          for (Property property :
              List.of(Property.HEADING, Property.KEYWORD, Property.AUTHOR, Property.JOURNAL)) {
            known.of(property, typed, EACH).stream()
                .filter(s -> all.stream().noneMatch(a -> isSame(a, s)))
                .map(
                    s ->
                        new SuggestionShown(
                            property.word(), labels.of(property, s.value()), s.count(), null))
                .forEach(all::add);
          }
          return all.stream().limit(ALL).toList();
        });
  }

  /** One that is offered by another of its names is not offered twice. */
  private static boolean isSame(SuggestionShown offered, Suggestions.Suggestion next) {
    return offered.property().equals(next.property().word())
        && offered.value().equals(next.value());
  }

  private static boolean begins(String name, String start) {
    return name.toLowerCase(Locale.ROOT).startsWith(start);
  }

  /** Headings that have another name which begins so. */
  private List<SuggestionShown> byOtherName(Suggestions known, String typed) {
    String start = typed.strip().toLowerCase(Locale.ROOT);
    if (start.length() < 3) {
      return List.of();
    }
    List<SuggestionShown> found = new ArrayList<>();
    // In another number than it is written, too: moths for moth.
    vocabularies
        .headings()
        .find(start)
        .map(Headings.Named::heading)
        .filter(heading -> !heading.label().toLowerCase(Locale.ROOT).startsWith(start))
        .filter(heading -> heading.names().stream().noneMatch(name -> begins(name, start)))
        .map(
            heading ->
                new SuggestionShown(
                    Property.HEADING.word(),
                    heading.label(),
                    known.count(Property.HEADING, heading.label()),
                    start))
        .ifPresent(found::add);
    for (Concept heading : vocabularies.headings().all()) {
      heading.names().stream()
          .filter(name -> begins(name, start))
          .findFirst()
          .ifPresent(
              name ->
                  found.add(
                      new SuggestionShown(
                          Property.HEADING.word(),
                          heading.label(),
                          known.count(Property.HEADING, heading.label()),
                          name)));
    }
    return found.stream()
        .sorted(Comparator.comparingInt(SuggestionShown::count).reversed())
        .limit(2)
        .toList();
  }

  PassageLine passage(Member who, String text) {
    if (text.length() > Passage.LONGEST) {
      throw Refusal.unusable("passage", "A passage ends at 20,000 characters.");
    }
    return matching.look(who, look -> new PassageLine(new Passage(look.snapshot()).line(text)));
  }
}
