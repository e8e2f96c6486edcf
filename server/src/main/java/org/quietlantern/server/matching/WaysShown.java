package org.quietlantern.server.matching;

import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import org.quietlantern.core.holdings.Way;
import org.quietlantern.core.holdings.Ways;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.core.search.SearchContext;
import org.quietlantern.core.text.OpenUrl;
import org.quietlantern.core.text.TextWay;
import org.quietlantern.core.text.TextWays;
import org.quietlantern.server.address.AddressState;
import org.quietlantern.server.address.Addresses;
import org.quietlantern.server.address.WayShown;
import org.quietlantern.server.catalogue.StoredPublication;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.holdings.HeldElsewhere;
import org.quietlantern.server.platform.LanternProperties;
import org.springframework.stereotype.Service;

/** All ways from publications to their texts (rule T1), with what is known of where they lead. */
@Service
public class WaysShown {
  private static final Set<String> FIRST = Set.of("here", "publisher");
  private final Addresses addresses;
  private final TextsAtHand texts;
  private final HeldElsewhere elsewhere;
  private final TextWays order;
  private final LanternProperties properties;

  WaysShown(
      Addresses addresses,
      TextsAtHand texts,
      HeldElsewhere elsewhere,
      LanternProperties properties) {
    this.elsewhere = elsewhere;
    this.addresses = addresses;
    this.texts = texts;
    this.properties = properties;
    this.order = new TextWays(properties.resolver());
  }

  /**
   * How a group comes to a publication.
   *
   * @param access in one of the words of rule L7, with its ground
   * @param ways to the text, the first to be tried first
   */
  public record Shown(Way access, List<WayShown> ways) {}

  /** By row number. {@code today}: what the group holds, and who lends to it. */
  public Map<Integer, Shown> of(
      Member who, SearchContext today, Collection<StoredPublication> all) {
    Ways ways = today.ways();
    HeldElsewhere.Shelves held = elsewhere.of(who, today.edition());
    Map<Integer, Way> access = new LinkedHashMap<>();
    Map<Integer, List<TextWay>> found = new LinkedHashMap<>();
    for (StoredPublication stored : all) {
      Publication publication = stored.publication();
      Ways.Asked asked = StoredPublication.asked(publication);
      Way way = ways.way(asked);
      access.put(stored.id(), way);
      TextWays.Reach reach =
          new TextWays.Reach(
              way,
              held.right(asked, today.today()),
              held.shelf(asked, today.today()),
              ways.lender(asked).map(lender -> lender.spoken() + " takes requests"));
      found.put(stored.id(), order.of(publication, reach));
    }
    Map<String, AddressState> states =
        addresses.states(
            found.values().stream().flatMap(List::stream).map(TextWay::address).toList());
    Map<Integer, String> here = texts.of(who, found.keySet());
    Map<Integer, Shown> shown = new LinkedHashMap<>();
    for (StoredPublication stored : all) {
      int id = stored.id();
      Stream<WayShown> outside =
          found.get(id).stream().map(way -> WayShown.of(way, states.get(way.address())));
      Stream<WayShown> inside = Stream.ofNullable(here.get(id)).map(WayShown::here);
      List<WayShown> some = Stream.concat(inside, outside).toList();
      shown.put(id, new Shown(access.get(id), withLibrary(who, stored, some)));
    }
    return shown;
  }

  /** The group's own library is asked before others are, and not for what is open to all. */
  private List<WayShown> withLibrary(Member who, StoredPublication of, List<WayShown> ways) {
    boolean isOpen = ways.stream().anyMatch(way -> way.what().equals("open-copy"));
    if (who.resolver().isEmpty() || isOpen) {
      return ways;
    }
    String form = OpenUrl.of(of.publication(), properties.stableLink(of.pid()));
    String joint = who.resolver().contains("?") ? "&" : "?";
    List<WayShown> all = new ArrayList<>(ways);
    int before = (int) ways.stream().takeWhile(way -> FIRST.contains(way.what())).count();
    all.add(before, WayShown.library(who.library(), who.resolver() + joint + form));
    return all;
  }

  /** Somebody looks at them: where they lead is tried soon. */
  public void want(Collection<WayShown> ways) {
    addresses.want(ways.stream().filter(WayShown::canBeTried).map(WayShown::address).toList());
  }
}
