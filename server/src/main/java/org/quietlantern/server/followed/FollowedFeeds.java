package org.quietlantern.server.followed;

import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.quietlantern.core.publication.Text;
import org.quietlantern.server.action.CommandKind;
import org.quietlantern.server.action.CommandKinds;
import org.quietlantern.server.action.CommandResult;
import org.quietlantern.server.action.Commands;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.harvest.SourceKeeping;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.PublicIds;
import org.quietlantern.server.platform.Refusal;
import org.quietlantern.server.platform.SystemTime;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Feeds of others that a group follows. */
@Service
class FollowedFeeds implements CommandKinds {
  /** Feeds that a group may follow at once. */
  private static final int MOST = 200;

  private static final int LONGEST_NAME = 120;

  /**
   * A feed as its group sees it.
   *
   * @param sourceKey by which a search is limited to it
   * @param by who follows it for the group
   * @param works how many works it told of
   */
  record FollowedLine(
      String id,
      String title,
      String address,
      String site,
      String sourceKey,
      String by,
      Instant at,
      @Nullable Instant answered,
      String error,
      int entries,
      int unread,
      int works) {}

  /** What is to be followed. {@code title}: what its list calls it; it may say another itself. */
  record FeedToFollow(@Nullable String address, @Nullable String title) {}

  /** Feeds that are followed with one act, by their ids. */
  record FeedsFollowed(List<String> followed) {}

  /** {@code added}: those that were not followed before. */
  record Added(List<String> added) {}

  /** Where it was. */
  record Ended(String address) {}

  private final CommandKind<FeedsFollowed, Added> follow =
      new CommandKind<>("followed.add", FeedsFollowed.class, Added.class, this::leave);
  private final CommandKind<String, Ended> end =
      new CommandKind<>("followed.end", String.class, Ended.class, this::takeUp);

  private final FollowedMapper mapper;
  private final SourceKeeping sources;
  private final Commands commands;
  private final PublicIds ids;
  private final Calendar calendar;
  private final SystemTime system;

  FollowedFeeds(
      FollowedMapper mapper,
      SourceKeeping sources,
      Commands commands,
      PublicIds ids,
      Calendar calendar,
      SystemTime system) {
    this.mapper = mapper;
    this.sources = sources;
    this.commands = commands;
    this.ids = ids;
    this.calendar = calendar;
    this.system = system;
  }

  @Override
  public List<CommandKind<?, ?>> kinds() {
    return List.of(follow, end);
  }

  @Transactional(readOnly = true)
  public List<FollowedLine> all(Member who) {
    return mapper.lines(who.group());
  }

  /** Follows feeds for the group; they are asked at the next chance. */
  FeedsFollowed follow(Member who, UUID command, @Nullable List<FeedToFollow> wanted) {
    return commands.run(who, command, follow, () -> followed(who, wanted));
  }

  private CommandResult<FeedsFollowed, Added> followed(
      Member who, @Nullable List<FeedToFollow> wanted) {
    if (wanted == null || wanted.isEmpty()) {
      throw Refusal.unusable("feeds", "At least one feed is needed.");
    }
    Map<String, FeedToFollow> byAddress = new LinkedHashMap<>();
    wanted.forEach(
        one -> byAddress.putIfAbsent(FeedLooking.address(one.address()).toString(), one));
    List<String> all = new ArrayList<>();
    List<String> added = new ArrayList<>();
    byAddress.forEach(
        (address, one) -> {
          FollowedMapper.Row row = mapper.at(who.group(), address);
          String pid = row == null ? ids.next() : row.pid();
          boolean begins = row == null || mapper.goOn(row.id(), system.now()) > 0;
          if (row == null) {
            add(who, pid, address, one.title());
          }
          if (begins) {
            added.add(pid);
          }
          all.add(pid);
        });
    if (mapper.count(who.group()) > MOST) {
      throw Refusal.conflict(
          "many-feeds", "A group follows at most %d feeds of others.".formatted(MOST));
    }
    return CommandResult.of(new FeedsFollowed(all), new Added(added)).changing(names(all));
  }

  private void add(Member who, String pid, String address, @Nullable String title) {
    String named = nameOf(title == null || title.isBlank() ? address : title);
    int source = sources.ofFeed(who, "feed-" + pid, named);
    mapper.add(
        new FollowedMapper.NewFeed(
            pid, who.group(), source, address, named, who.id(), calendar.now(), system.now()));
  }

  private static List<String> names(List<String> feeds) {
    return feeds.stream().map(feed -> "followed:" + feed).toList();
  }

  /** Ends one; what it brought stays. */
  void end(Member who, UUID command, String feed) {
    commands.run(
        who,
        command,
        end,
        () -> {
          FollowedMapper.Row row =
              Optional.ofNullable(mapper.find(who.group(), feed)).orElseThrow(Refusal::unknown);
          mapper.end(row.id(), calendar.now());
          return CommandResult.of(feed, new Ended(row.address())).changing(names(List.of(feed)));
        });
  }

  private String leave(Member who, UUID command, Added before) {
    for (String feed : before.added()) {
      Optional.ofNullable(mapper.find(who.group(), feed))
          .ifPresent(row -> mapper.end(row.id(), calendar.now()));
    }
    return before.added().isEmpty() ? "" : "What came from it stays.";
  }

  private String takeUp(Member who, UUID command, Ended before) {
    mapper.goOn(mapper.at(who.group(), before.address()).id(), system.now());
    return "";
  }

  /** A name of a source has an end. */
  static String nameOf(String title) {
    return Text.atMost(LONGEST_NAME, Text.clean(title));
  }
}
