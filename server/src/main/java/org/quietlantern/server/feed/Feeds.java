package org.quietlantern.server.feed;

import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import org.quietlantern.server.action.Audience;
import org.quietlantern.server.action.CommandKind;
import org.quietlantern.server.action.CommandKinds;
import org.quietlantern.server.action.CommandResult;
import org.quietlantern.server.action.Commands;
import org.quietlantern.server.action.Subject;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.PublicIds;
import org.quietlantern.server.platform.Refusal;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Feeds of members: each its own secret address, which tells one thing as that member sees it. */
@Service
public class Feeds implements CommandKinds {

  /** Feeds that a member may have at once. */
  private static final int MOST = 200;

  private static final CommandKind<FeedLine, CommandKind.Nothing> ADD =
      CommandKind.forGood(
          "feed.add", FeedLine.class, "An address that was shown stays until it is revoked.");

  private static final CommandKind<String, CommandKind.Nothing> REVOKE =
      CommandKind.forGood(
          "feed.revoke", String.class, "An address that was revoked is never opened again.");

  private final CommandKind<FeedLine, ChosenBefore> choose =
      new CommandKind<>("feed.choose", FeedLine.class, ChosenBefore.class, this::chooseBack);

  /** What an undo needs to know. */
  record ChosenBefore(String feed, boolean marksSeen) {}

  private final FeedMapper mapper;
  private final FeedSources sources;
  private final FeedAddresses addresses;
  private final Commands commands;
  private final PublicIds ids;
  private final Calendar calendar;

  /**
   * A feed of the member who asks.
   *
   * @param of what it tells: {@code alert:ID}, {@code gathering:ID}, {@code alerts}, {@code
   *     unreviewed}, {@code raised}, {@code folder:ID}, {@code journal:ISSN} or {@code rounds}, a
   *     calendar
   * @param place of that, below the group's address
   * @param marksSeen whether opening an entry from a reader marks it seen
   * @param fetched when a reader last asked; none: never
   * @param by what that reader called itself
   */
  public record FeedLine(
      String id,
      String of,
      String name,
      String place,
      String address,
      boolean marksSeen,
      Instant at,
      @Nullable Instant fetched,
      @Nullable String by) {}

  Feeds(
      FeedMapper mapper,
      FeedSources sources,
      FeedAddresses addresses,
      Commands commands,
      PublicIds ids,
      Calendar calendar) {
    this.mapper = mapper;
    this.sources = sources;
    this.addresses = addresses;
    this.commands = commands;
    this.ids = ids;
    this.calendar = calendar;
  }

  /** The member's own feeds that have not been revoked. */
  @Transactional(readOnly = true)
  public List<FeedLine> mine(Member who) {
    List<FeedMapper.Row> rows = mapper.live(who.id());
    Map<String, FeedSource.Named> named =
        sources.named(who, rows.stream().map(FeedMapper.Row::subject).toList());
    return rows.stream()
        .map(row -> line(row, named.get(row.subject())))
        .sorted(Comparator.comparing(line -> line.name().toLowerCase(Locale.ROOT)))
        .toList();
  }

  /** Those that readers of feeds read; calendars are none. */
  @Transactional(readOnly = true)
  public List<FeedLine> forReaders(Member who) {
    return mine(who).stream().filter(feed -> !sources.isCalendar(feed.of())).toList();
  }

  /** The member's address for something; the one there is, or a new one. */
  public FeedLine subscribe(Member who, UUID command, @Nullable String of) {
    return commands.run(who, command, ADD, () -> add(who, of == null ? "" : of));
  }

  private CommandResult<FeedLine, CommandKind.Nothing> add(Member who, String of) {
    // Refused where there is no such thing, or the member does not see it.
    sources.read(who, of, 0, 1);
    if (mapper.findLive(who.id(), of) == null && mapper.live(who.id()).size() >= MOST) {
      throw Refusal.conflict(
          "many-feeds", "You have %d feeds. Revoke one that nobody reads.".formatted(MOST));
    }
    mapper.add(ids.next(), who.id(), of, calendar.now());
    FeedLine line = line(mapper.findLive(who.id(), of), sources.named(who, of));
    return CommandKind.done(line).changing(Subject.Of.FEED, line.id()).toldTo(Audience.ME);
  }

  /** Whether opening an entry of a feed of works marks it seen, by the member's own choice. */
  public FeedLine choose(Member who, UUID command, String feed, boolean marksSeen) {
    return commands.run(who, command, choose, () -> chosen(who, feed, marksSeen));
  }

  private CommandResult<FeedLine, ChosenBefore> chosen(Member who, String feed, boolean marksSeen) {
    FeedMapper.Row row = mapper.mine(who.id(), feed);
    if (row == null || sources.isCalendar(row.subject()) || !who.mayWrite()) {
      throw Refusal.unknown();
    }
    mapper.choose(feed, marksSeen);
    return CommandResult.of(
            line(mapper.mine(who.id(), feed), sources.named(who, row.subject())),
            new ChosenBefore(feed, row.marksSeen()))
        .changing(Subject.Of.FEED, feed)
        .toldTo(Audience.ME);
  }

  private String chooseBack(Member who, UUID command, ChosenBefore before) {
    mapper.choose(before.feed(), before.marksSeen());
    return "";
  }

  /** Ends an address for good; a new one has to be made to go on. */
  public void revoke(Member who, UUID command, String feed) {
    commands.run(who, command, REVOKE, () -> end(who, feed));
  }

  @Override
  public List<CommandKind<?, ?>> kinds() {
    return List.of(ADD, REVOKE, choose);
  }

  private CommandResult<String, CommandKind.Nothing> end(Member who, String feed) {
    if (mapper.revoke(feed, who.id(), calendar.now()) == 0) {
      throw Refusal.unknown();
    }
    return CommandKind.done(feed).changing(Subject.Of.FEED, feed).toldTo(Audience.ME);
  }

  private FeedLine line(FeedMapper.Row row, FeedSource.Named named) {
    return new FeedLine(
        row.pid(),
        row.subject(),
        named.name(),
        named.place(),
        addresses.address(
            row.pid(), row.generation(), sources.isCalendar(row.subject()) ? ".ics" : ".atom"),
        row.marksSeen(),
        row.at(),
        row.fetched(),
        row.fetchedBy());
  }
}
