package org.quietlantern.server.arrival;

import java.time.ZoneId;
import java.util.Collection;
import java.util.HashSet;
import java.util.Set;
import org.quietlantern.core.search.SearchContext;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.StoredPublication;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.matching.GroupContexts;
import org.quietlantern.server.matching.TextsAtHand;
import org.quietlantern.server.matching.TextsInside;
import org.quietlantern.server.review.ReadableTexts;
import org.springframework.stereotype.Component;

/** A text can be read that is open to all, held by the group's library, or here (rule L7). */
@Component
class TextsOfGroup implements ReadableTexts {
  private final Publications publications;
  private final Groups groups;
  private final GroupContexts contexts;
  private final TextsAtHand atHand;
  private final TextsInside inside;

  TextsOfGroup(
      Publications publications,
      Groups groups,
      GroupContexts contexts,
      TextsAtHand atHand,
      TextsInside inside) {
    this.publications = publications;
    this.groups = groups;
    this.contexts = contexts;
    this.atHand = atHand;
    this.inside = inside;
  }

  @Override
  public Set<Integer> of(int group, Collection<Integer> works) {
    if (works.isEmpty()) {
      return Set.of();
    }
    Set<Integer> readable = new HashSet<>(atHand.ofGroup(group, works));
    SearchContext today = context(group);
    publications.byId(new Viewer(group), works).stream()
        .filter(
            one ->
                today.ways().way(StoredPublication.asked(one.publication())).access().isReadable())
        .forEach(one -> readable.add(one.id()));
    return readable;
  }

  @Override
  public String asOf(int group) {
    SearchContext today = context(group);
    return today.edition() + " " + today.today() + " " + inside.edition(group);
  }

  private SearchContext context(int group) {
    return contexts.of(group, ZoneId.of(groups.settings(group).zone()));
  }
}
