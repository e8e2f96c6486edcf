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
import org.quietlantern.server.request.RequestLists;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The ways to the text of one publication. */
@Service
public class WaysToText {
  private final Publications publications;
  private final GroupContexts contexts;
  private final WaysShown shown;
  private final RequestLists requests;

  WaysToText(
      Publications publications, GroupContexts contexts, WaysShown shown, RequestLists requests) {
    this.requests = requests;
    this.publications = publications;
    this.contexts = contexts;
    this.shown = shown;
  }

  @Transactional(readOnly = true)
  public List<WayShown> of(Member who, String pid) {
    List<WayShown> ways = all(who, pid);
    return requests
        .wait(who)
        .map(wait -> ways.stream().map(way -> waiting(way, wait)).toList())
        .orElse(ways);
  }

  private static WayShown waiting(WayShown way, Wait wait) {
    return way.what().equals("request") ? way.with(wait.spoken()) : way;
  }

  /** The same without what waiting for a copy took so far. */
  @Transactional(readOnly = true)
  public List<WayShown> of(Member who, StoredPublication stored) {
    return shown.of(who, contexts.of(who).ways(), List.of(stored)).get(stored.id()).ways();
  }

  @Transactional
  public void want(Member who, String pid) {
    shown.want(all(who, pid));
  }

  private List<WayShown> all(Member who, String pid) {
    return of(who, publications.present(Viewer.of(who), pid));
  }
}
