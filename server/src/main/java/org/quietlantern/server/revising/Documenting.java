package org.quietlantern.server.revising;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.quietlantern.server.action.Commands;
import org.quietlantern.server.action.Done;
import org.quietlantern.server.action.Undoable;
import org.quietlantern.server.action.Undoer;
import org.quietlantern.server.folder.Revisions;
import org.quietlantern.server.folder.SavedSearches;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Calendar;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** A saved search is declared documented: each change then asks for a reason, each run is kept. */
@Service
public class Documenting implements Undoable {
  private static final String WHAT = "search.document";
  private final SavedSearches searches;
  private final Revisions revisions;
  private final Commands commands;
  private final Calendar calendar;

  record Before(String search, boolean documented) {}

  Documenting(SavedSearches searches, Revisions revisions, Commands commands, Calendar calendar) {
    this.searches = searches;
    this.revisions = revisions;
    this.commands = commands;
    this.calendar = calendar;
  }

  /** Declares it documented, or takes that back. */
  @Transactional
  public void declare(Member who, UUID command, String search, boolean documented) {
    searches.get(who, search);
    commands.run(
        who,
        command,
        WHAT,
        Boolean.class,
        () -> {
          boolean was = revisions.documented(search).isPresent();
          set(who, search, documented);
          return new Done<>(
              SavedSearches.subject(search),
              new Before(search, was),
              Map.of("documented", documented),
              documented);
        });
  }

  private void set(Member who, String search, boolean documented) {
    if (revisions.documented(search).isPresent() != documented) {
      revisions.document(
          search,
          documented
              ? Optional.of(new Revisions.Documented(calendar.now(), who.id()))
              : Optional.empty());
    }
  }

  @Override
  public List<Undoer<?>> undoers() {
    return List.of(new Undoer<>(WHAT, Before.class, this::takeBack));
  }

  private String takeBack(Member who, UUID command, Before before) {
    set(who, before.search(), before.documented());
    return "";
  }
}
