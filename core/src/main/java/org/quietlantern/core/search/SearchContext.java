package org.quietlantern.core.search;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import org.quietlantern.core.holdings.Holdings;
import org.quietlantern.core.holdings.Journals;
import org.quietlantern.core.holdings.Lender;
import org.quietlantern.core.holdings.Ways;
import org.quietlantern.core.query.Property;
import org.quietlantern.core.vocabulary.Headings;
import org.quietlantern.core.vocabulary.Tree;

/**
 * What a count depends on besides the catalogue: the day, what a group may read, what is known of
 * journals, and what lies below what.
 *
 * @param lenders libraries that lend to the group, in the order in which they are asked
 * @param texts those that the group may read
 * @param edition names all of this but the day, the zone and the texts: equal editions have equal
 *     contents
 */
public record SearchContext(
    LocalDate today,
    ZoneId zone,
    Holdings holdings,
    List<Lender> lenders,
    Journals journals,
    Map<Property, Tree> trees,
    Headings headings,
    InsideTexts texts,
    String edition) {
  public SearchContext {
    lenders = List.copyOf(lenders);
    trees = Map.copyOf(trees);
  }

  /** The same for somebody who may read what everybody may, and nothing else. */
  public SearchContext fromOutside() {
    return new SearchContext(
        today,
        zone,
        Holdings.NONE,
        List.of(),
        journals,
        trees,
        headings,
        InsideTexts.NONE,
        edition + "/outside");
  }

  /** Nothing is known but the day. */
  public static SearchContext on(LocalDate today, ZoneId zone) {
    return new SearchContext(
        today,
        zone,
        Holdings.NONE,
        List.of(),
        Journals.NONE,
        Map.of(),
        Headings.NONE,
        InsideTexts.NONE,
        "nothing");
  }

  /** The same on another day. */
  public SearchContext on(LocalDate day) {
    return new SearchContext(
        day, zone, holdings, lenders, journals, trees, headings, texts, edition);
  }

  public Tree tree(Property property) {
    return trees.getOrDefault(property, Tree.NONE);
  }

  public Ways ways() {
    return new Ways(holdings, lenders, today);
  }

  /** The same with the texts that there are now. */
  public SearchContext with(InsideTexts now) {
    return new SearchContext(
        today, zone, holdings, lenders, journals, trees, headings, now, edition);
  }

  /** Names all of this but day and zone. */
  public String whole() {
    return edition + "/" + texts.edition();
  }

  /** Names everything that a limit's answer can depend on. */
  String name() {
    return edition + "/" + today + "/" + zone;
  }
}
