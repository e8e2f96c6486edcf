package org.quietlantern.server.revising;

import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.quietlantern.server.action.Commands;
import org.quietlantern.server.action.Done;
import org.quietlantern.server.action.Undoer;
import org.quietlantern.server.folder.Revisions;
import org.quietlantern.server.folder.SavedSearches;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Calendar;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** A saved search is declared documented: each change then asks for a reason, each run is kept. */
@Service
public class Documenting implements Undoer {
  private final SavedSearches searches;
  private final Revisions revisions;
  private final Commands commands;
  private final Calendar calendar;

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
        what(),
        Boolean.class,
        () -> {
          boolean was = revisions.documented(search).isPresent();
          set(who, search, documented);
          return new Done<>(
              SavedSearches.subject(search),
              Map.of("search", search, "documented", was),
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
  public String what() {
    return "search.document";
  }

  @Override
  public String undo(
      Member who, UUID command, Map<String, Object> before, Map<String, Object> after) {
    set(who, (String) before.get("search"), Boolean.TRUE.equals(before.get("documented")));
    return "";
  }
}
