package org.quietlantern.server.feed;

import java.util.List;
import java.util.UUID;
import org.quietlantern.core.review.Mark;
import org.quietlantern.server.action.Audience;
import org.quietlantern.server.action.CommandKind;
import org.quietlantern.server.action.CommandKinds;
import org.quietlantern.server.action.CommandResult;
import org.quietlantern.server.action.Commands;
import org.quietlantern.server.action.Subject;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.StoredPublication;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Refusal;
import org.quietlantern.server.review.Reviews;
import org.springframework.stereotype.Service;

/**
 * Opening an entry from a reader of feeds marks it seen, where the member chose so for that feed
 * (rule V1). What was said of it before stays.
 */
@Service
class FeedOpening implements CommandKinds {
  private final FeedMapper mapper;
  private final Publications publications;
  private final Reviews reviews;
  private final Commands commands;

  private final CommandKind<EntryOpened, Before> opened =
      new CommandKind<>("feed.opened", EntryOpened.class, Before.class, this::takeBack);

  /** {@code seen}: whether it is marked by this; not where something was said of it before. */
  record EntryOpened(boolean seen) {}

  /** Row number of the work, and of the mark; none where none was made. */
  record Before(int publication, @Nullable Integer event) {}

  FeedOpening(FeedMapper mapper, Publications publications, Reviews reviews, Commands commands) {
    this.mapper = mapper;
    this.publications = publications;
    this.reviews = reviews;
    this.commands = commands;
  }

  EntryOpened opened(Member who, UUID command, String feed, String publication) {
    return commands.run(who, command, opened, () -> open(who, command, feed, publication));
  }

  private CommandResult<EntryOpened, Before> open(
      Member who, UUID command, String feed, String publication) {
    FeedMapper.Row row = mapper.mine(who.id(), feed);
    if (row == null || !row.marksSeen() || !who.mayWrite()) {
      throw Refusal.unknown();
    }
    StoredPublication work = publications.get(Viewer.of(who), publication);
    Integer event =
        reviews.of(who, work.id()).isPresent()
            ? null
            : (Integer) reviews.mark(who, command, work.id(), Mark.SEEN, "");
    return CommandResult.of(new EntryOpened(event != null), new Before(work.id(), event))
        .changing(event == null ? List.of() : List.of("mark:" + work.id() + ":" + who.id()))
        .about(Subject.Of.PUBLICATION, List.of(work.pid()))
        .toldTo(Audience.ME);
  }

  private String takeBack(Member who, UUID command, Before before) {
    if (before.event() != null) {
      reviews.takeBack(who, command, before.publication(), before.event());
    }
    return "";
  }

  @Override
  public List<CommandKind<?, ?>> kinds() {
    return List.of(opened);
  }
}
