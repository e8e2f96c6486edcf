package org.quietlantern.server.feed;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.quietlantern.server.action.Audience;
import org.quietlantern.server.action.CommandKind;
import org.quietlantern.server.action.CommandKinds;
import org.quietlantern.server.action.CommandResult;
import org.quietlantern.server.action.Commands;
import org.quietlantern.server.action.Subject;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.StoredPublication;
import org.quietlantern.server.catalogue.Summary;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.matching.Summaries;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.LanternProperties;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Page;
import org.quietlantern.server.platform.PublicIds;
import org.quietlantern.server.platform.Refusal;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Feeds of members: each its own secret address, which tells one thing as that member sees it. */
@Service
public class Feeds implements CommandKinds {
  private static final int ENTRIES = 200;
  private static final int LONGEST_READER = 200;

  /** Feeds that a member may have at once. */
  private static final int MOST = 200;

  /** Whoever reads no feeds for a month still learns that an alert has ended. */
  private static final Duration TOLD_AFTER_END = Duration.ofDays(30);

  private static final CommandKind<FeedLine, CommandKind.Nothing> ADD =
      CommandKind.forGood(
          "feed.add", FeedLine.class, "An address that was shown stays until it is revoked.");

  private static final CommandKind<String, CommandKind.Nothing> REVOKE =
      CommandKind.forGood(
          "feed.revoke", String.class, "An address that was revoked is never opened again.");

  private final FeedMapper mapper;
  private final Map<String, FeedSource> sources;
  private final FeedAddresses addresses;
  private final Groups groups;
  private final Publications publications;
  private final Summaries summaries;
  private final Commands commands;
  private final PublicIds ids;
  private final Calendar calendar;
  private final LanternProperties properties;

  /**
   * A feed of the member who asks.
   *
   * @param of what it tells: {@code alert:ID}, {@code gathering:ID}, {@code alerts}, {@code
   *     unreviewed}, {@code raised}, {@code folder:ID} or {@code journal:ISSN}
   * @param place of that, below the group's address
   * @param fetched when a reader last asked; none: never
   * @param by what that reader called itself
   */
  public record FeedLine(
      String id,
      String of,
      String name,
      String place,
      String address,
      Instant at,
      @Nullable Instant fetched,
      @Nullable String by) {}

  Feeds(
      FeedMapper mapper,
      List<FeedSource> sources,
      FeedAddresses addresses,
      Groups groups,
      Publications publications,
      Summaries summaries,
      Commands commands,
      PublicIds ids,
      Calendar calendar,
      LanternProperties properties) {
    this.mapper = mapper;
    this.sources =
        sources.stream().collect(Collectors.toMap(FeedSource::kind, Function.identity()));
    this.addresses = addresses;
    this.groups = groups;
    this.publications = publications;
    this.summaries = summaries;
    this.commands = commands;
    this.ids = ids;
    this.calendar = calendar;
    this.properties = properties;
  }

  /** The member's own feeds that have not been revoked. */
  @Transactional(readOnly = true)
  public List<FeedLine> mine(Member who) {
    return mapper.live(who.id()).stream()
        .map(row -> line(who, row))
        .sorted(Comparator.comparing(line -> line.name().toLowerCase(Locale.ROOT)))
        .toList();
  }

  /** The member's address for something; the one there is, or a new one. */
  public FeedLine subscribe(Member who, UUID command, @Nullable String of) {
    return commands.run(who, command, ADD, () -> add(who, of == null ? "" : of));
  }

  private CommandResult<FeedLine, CommandKind.Nothing> add(Member who, String of) {
    // Refused where there is no such thing, or the member does not see it.
    source(of).read(who, which(of), 0, 1);
    if (mapper.findLive(who.id(), of) == null && mapper.live(who.id()).size() >= MOST) {
      throw Refusal.conflict(
          "many-feeds", "You have %d feeds. Revoke one that nobody reads.".formatted(MOST));
    }
    mapper.add(ids.next(), who.id(), of, calendar.now());
    FeedLine line = line(who, mapper.findLive(who.id(), of));
    return CommandKind.done(line).changing(Subject.Of.FEED, line.id()).toldTo(Audience.ME);
  }

  private FeedSource source(String of) {
    return Optional.ofNullable(sources.get(of.split(":", 2)[0])).orElseThrow(Refusal::unknown);
  }

  private static String which(String of) {
    return of.contains(":") ? of.substring(of.indexOf(':') + 1) : "";
  }

  /** Ends an address for good; a new one has to be made to go on. */
  public void revoke(Member who, UUID command, String feed) {
    commands.run(who, command, REVOKE, () -> end(who, feed));
  }

  @Override
  public List<CommandKind<?, ?>> kinds() {
    return List.of(ADD, REVOKE);
  }

  private CommandResult<String, CommandKind.Nothing> end(Member who, String feed) {
    if (mapper.revoke(feed, who.id(), calendar.now()) == 0) {
      throw Refusal.unknown();
    }
    return CommandKind.done(feed).changing(Subject.Of.FEED, feed).toldTo(Audience.ME);
  }

  private FeedLine line(Member who, FeedMapper.Row row) {
    FeedSource.Named named = source(row.subject()).named(who, which(row.subject()));
    return new FeedLine(
        row.pid(),
        row.subject(),
        named.name(),
        named.place(),
        addresses.address(row.pid(), row.generation()),
        row.at(),
        row.fetched(),
        row.fetchedBy());
  }

  /**
   * What is told at an address: 404 if it is none, 410 if it was revoked, what it tells is gone, or
   * its alert ended thirty days ago; until then its first entry says that it has ended.
   *
   * @param before the page after an entry; 0: the first page
   */
  @Transactional(readOnly = true)
  public FeedPage read(String feed, String secret, int before) {
    FeedMapper.Row row = mapper.byPid(feed);
    if (row == null || !addresses.isRight(feed, row.generation(), secret)) {
      throw Refusal.unknown();
    }
    if (row.revoked() != null) {
      throw new Refusal(HttpStatus.GONE, "revoked", "This feed address was revoked.");
    }
    Member who = groups.findMember(row.groupPid(), row.account()).orElseThrow(Refusal::unknown);
    FeedSource source = source(row.subject());
    FeedSource.Thing thing = source.read(who, which(row.subject()), before, ENTRIES + 1);
    if (thing.ended() != null && thing.ended().plus(TOLD_AFTER_END).isBefore(calendar.now())) {
      throw new Refusal(HttpStatus.GONE, "ended", "The alert of this feed has ended.");
    }
    Page<FeedSource.Told> page = Page.of(thing.told(), ENTRIES);
    FeedSource.Named named = source.named(who, which(row.subject()));
    String place = "%s/g/%s/%s".formatted(properties.baseUrl(), who.groupPid(), named.place());
    List<FeedPage.Entry> entries = new ArrayList<>(entries(who, page.rows()));
    if (thing.ended() != null && before == 0) {
      entries.add(0, ended(row, named.name(), place, thing.ended()));
    }
    Instant updated =
        entries.stream().map(FeedPage.Entry::updated).max(Instant::compareTo).orElse(row.at());
    String address = addresses.address(row.pid(), row.generation());
    return new FeedPage(
        FeedPage.id(installation(), "feed:" + row.pid()),
        named.name(),
        thing.says().formatted(row.groupName()),
        row.groupName(),
        before == 0 ? address : address + "?before=" + before,
        address,
        page.more() ? address + "?before=" + page.last().id() : null,
        place,
        updated,
        entries);
  }

  private String installation() {
    return calendar.installation().toString();
  }

  /** That a reader asked, and what it called itself. */
  @Transactional
  public void fetched(String feed, @Nullable String reader) {
    String by = reader == null ? "" : reader.replaceAll("\\p{Cntrl}", " ").strip();
    mapper.fetched(
        feed, by.length() > LONGEST_READER ? by.substring(0, LONGEST_READER) : by, calendar.now());
  }

  /** The last thing that is told. */
  private FeedPage.Entry ended(FeedMapper.Row row, String name, String place, Instant ended) {
    return new FeedPage.Entry(
        FeedPage.id(installation(), "ended:" + row.pid() + ":" + ended),
        "“%s” has ended".formatted(name),
        List.of(row.groupName()),
        place,
        null,
        List.of(),
        "The alert has ended: nothing more comes here, and the feed is gone in thirty days. What it"
            + " found stays where it is.",
        ended,
        ended);
  }

  private List<FeedPage.Entry> entries(Member who, List<FeedSource.Told> told) {
    Map<Integer, StoredPublication> stored =
        publications.byAsked(
            Viewer.of(who), told.stream().map(FeedSource.Told::publication).toList());
    Map<Integer, Summary> shown = summaries.of(who, stored.values());
    return told.stream()
        .filter(one -> stored.containsKey(one.publication()))
        .map(
            one -> {
              StoredPublication work = stored.get(one.publication());
              return FeedPage.Entry.of(
                  FeedPage.id(installation(), one.key()),
                  work.publication(),
                  work.publication().abstractText(),
                  properties.stableLink(work.pid()),
                  one.newClass(),
                  said(one.why(), shown.get(work.id()).access()),
                  one.came(),
                  one.updated());
            })
        .toList();
  }

  /** Why it is here, and how the group comes to it. */
  private static String said(String why, String access) {
    return (why.isEmpty() ? "" : why + " ")
        + access.substring(0, 1).toUpperCase(Locale.ROOT)
        + access.substring(1)
        + ".";
  }
}
