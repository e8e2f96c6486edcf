package org.quietlantern.server.revising;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.quietlantern.core.activity.Aspect;
import org.quietlantern.server.action.CommandKind;
import org.quietlantern.server.action.CommandKinds;
import org.quietlantern.server.action.CommandResult;
import org.quietlantern.server.action.Commands;
import org.quietlantern.server.action.Subject;
import org.quietlantern.server.folder.Revisions;
import org.quietlantern.server.folder.SavedSearches;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Nullable;
import org.springframework.stereotype.Service;

/** A saved search is declared documented: each change then asks for a reason, each run is kept. */
@Service
public class Documenting implements CommandKinds {
  private final SavedSearches searches;
  private final Revisions revisions;
  private final Commands commands;
  private final Calendar calendar;

  private final CommandKind<Boolean, Before> declare =
      new CommandKind<>("search.document", Boolean.class, Before.class, this::takeBack);

  record Before(String search, @Nullable Revisions.Documented documented) {}

  Documenting(SavedSearches searches, Revisions revisions, Commands commands, Calendar calendar) {
    this.searches = searches;
    this.revisions = revisions;
    this.commands = commands;
    this.calendar = calendar;
  }

  /** Declares it documented, or takes that back. */
  public void declare(Member who, UUID command, String search, boolean documented) {
    commands.run(
        who,
        command,
        declare,
        () -> {
          searches.requireEdit(who, search);
          Revisions.Documented before = revisions.documented(search).orElse(null);
          set(search, documented ? before(before, who) : null);
          return CommandResult.of(documented, new Before(search, before))
              .changing(Subject.Of.SEARCH, search)
              .differing(
                  Aspect.DOCUMENTED, before == null ? "no" : "yes", documented ? "yes" : "no");
        });
  }

  /** As it was declared first, if it was. */
  private Revisions.Documented before(@Nullable Revisions.Documented before, Member who) {
    return before != null ? before : new Revisions.Documented(calendar.now(), who.id());
  }

  private void set(String search, @Nullable Revisions.Documented documented) {
    revisions.document(search, Optional.ofNullable(documented));
  }

  @Override
  public List<CommandKind<?, ?>> kinds() {
    return List.of(declare);
  }

  private String takeBack(Member who, UUID command, Before before) {
    set(before.search(), before.documented());
    return "";
  }
}
