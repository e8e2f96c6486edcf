package org.quietlantern.server.text;

import java.util.List;
import org.quietlantern.core.text.Wait;
import org.quietlantern.server.address.WayShown;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.StoredPublication;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.matching.GroupContexts;
import org.quietlantern.server.matching.WaysShown;
import org.quietlantern.server.request.LenderOffers;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The ways to the text of one publication. */
@Service
public class WaysToText {
  private final Publications publications;
  private final GroupContexts contexts;
  private final WaysShown shown;
  private final LenderOffers offers;

  WaysToText(
      Publications publications, GroupContexts contexts, WaysShown shown, LenderOffers offers) {
    this.offers = offers;
    this.publications = publications;
    this.contexts = contexts;
    this.shown = shown;
  }

  @Transactional(readOnly = true)
  public List<WayShown> of(Member who, String pid) {
    StoredPublication stored = publications.get(Viewer.of(who), pid);
    List<WayShown> ways = of(who, stored);
    return contexts
        .of(who)
        .ways()
        .lender(StoredPublication.asked(stored.publication()))
        .map(lender -> offers.waits(who).get(lender.name()))
        .map(wait -> ways.stream().map(way -> waiting(way, wait)).toList())
        .orElse(ways);
  }

  private static WayShown waiting(WayShown way, Wait wait) {
    return way.what().equals("request") ? way.with(wait.spoken()) : way;
  }

  /** The same without what waiting for a copy took so far. */
  @Transactional(readOnly = true)
  public List<WayShown> of(Member who, StoredPublication stored) {
    return shown.of(who, contexts.of(who), List.of(stored)).get(stored.id()).ways();
  }

  @Transactional
  public void want(Member who, String pid) {
    shown.want(of(who, publications.get(Viewer.of(who), pid)));
  }
}
