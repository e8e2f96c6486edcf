package org.quietlantern.core.citation.csl;

import java.util.Set;

/**
 * Where something is rendered.
 *
 * @param cite absent in the bibliography
 * @param options of the layout, with those of the style
 * @param positions that hold, {@code ibid}, {@code subsequent} …
 * @param number of the work in the order of the bibliography, from 1
 * @param firstNote number of the note that cited it first; 0 for none
 * @param saysYearSuffix whether the layout says itself where the letter behind the year stands
 * @param sorts whether it is rendered for being sorted
 */
record Situation(
    Style style,
    Locale locale,
    Item item,
    Cite cite,
    Attributes options,
    Set<String> positions,
    int number,
    int firstNote,
    Settled settled,
    boolean bibliography,
    boolean saysYearSuffix,
    boolean sorts) {

  /** To be told apart from others: the day on which somebody looked at a work is none of it. */
  Situation toldApart(Settled other) {
    return new Situation(
        style,
        locale,
        item.without("accessed"),
        cite,
        options,
        positions,
        number,
        firstNote,
        other,
        bibliography,
        saysYearSuffix,
        sorts);
  }

  Situation sorting(Attributes key) {
    return new Situation(
        style,
        locale,
        item,
        cite,
        options.over(key),
        positions,
        number,
        firstNote,
        settled,
        bibliography,
        saysYearSuffix,
        true);
  }
}
