package org.quietlantern.server.action;

import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.quietlantern.core.activity.Difference;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Json;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Refusal;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** What happened in a group, for pages that want to stay true. */
@Service
public class Happenings {
  private final ActionMapper mapper;
  private final Json json;

  /** The number to ask from next time, and the kinds of action since. */
  public record Changes(long latest, List<String> kinds) {}

  Happenings(ActionMapper mapper, Json json) {
    this.mapper = mapper;
    this.json = json;
  }

  /**
   * Empty while nothing happened since that number, which open pages ask every few seconds: one
   * statement then, and no transaction. What is done between the two others is told by the next
   * look again.
   */
  @Transactional(propagation = Propagation.SUPPORTS, readOnly = true)
  public Optional<Changes> since(Member me, long since) {
    long latest =
        me.onlyFolders() ? mapper.latestInFolders(me.group(), me.id()) : mapper.latest(me.group());
    return latest == since
        ? Optional.empty()
        : Optional.of(
            new Changes(
                latest,
                me.onlyFolders()
                    ? mapper.sinceInFolders(me.group(), me.id(), since)
                    : mapper.since(me.group(), me.id(), since)));
  }

  /**
   * Something that was done.
   *
   * @param who row number of the membership; absent: the lantern itself
   * @param said which mark it was; empty for everything else
   * @param differences what of it is told with how it was before
   * @param undone whether it was taken back
   */
  public record Done(
      UUID command,
      @Nullable Integer who,
      String what,
      String said,
      List<Subject> about,
      List<Difference> differences,
      boolean undone,
      Instant at) {}

  /**
   * What others did and the lantern by itself, the latest first, without what was taken back.
   *
   * @param untold kinds that are left out
   */
  @Transactional(readOnly = true)
  public List<Done> byOthers(Member me, Set<String> untold, Instant since, int most) {
    return told(
        mapper.doneByOthers(me.group(), me.id(), untold.toArray(String[]::new), since, most));
  }

  /**
   * What was done in a group as far as the member may know, the latest first.
   *
   * @param about what it concerns; absent: anything
   * @param before the command to go on behind; absent: from the latest
   */
  @Transactional(readOnly = true)
  public List<Done> page(
      Member me, Set<String> untold, @Nullable Subject about, @Nullable UUID before, int most) {
    Long no = before == null ? Long.valueOf(0) : mapper.number(me.group(), before);
    if (no == null) {
      throw Refusal.unknown();
    }
    String subject = about == null ? "" : about.text();
    return told(mapper.done(me.group(), me.id(), untold.toArray(String[]::new), subject, no, most));
  }

  private List<Done> told(List<ActionMapper.Done> rows) {
    return rows.stream()
        .map(
            row ->
                new Done(
                    row.command(),
                    row.membership(),
                    row.what(),
                    row.said(),
                    Arrays.stream(row.about()).map(Subject::of).toList(),
                    List.of(json.read(row.differences(), Difference[].class)),
                    row.undoneBy() != null,
                    row.at()))
        .toList();
  }
}
