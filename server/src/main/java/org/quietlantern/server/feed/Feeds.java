package org.quietlantern.server.feed;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.quietlantern.server.action.Audience;
import org.quietlantern.server.action.CommandKind;
import org.quietlantern.server.action.CommandKinds;
import org.quietlantern.server.action.CommandResult;
import org.quietlantern.server.action.Commands;
import org.quietlantern.server.action.Subject;
import org.quietlantern.server.alert.Alerts;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.StoredPublication;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.LanternProperties;
import org.quietlantern.server.platform.Page;
import org.quietlantern.server.platform.PublicIds;
import org.quietlantern.server.platform.Refusal;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Feeds of members: each its own secret address, which tells the closed rounds of one alert. */
@Service
public class Feeds implements CommandKinds {
  private static final int ENTRIES = 200;

  /** Whoever reads no feeds for a month still learns that an alert has ended. */
  private static final Duration TOLD_AFTER_END = Duration.ofDays(30);

  private static final CommandKind<FeedLine, CommandKind.Nothing> ADD =
      CommandKind.forGood(
          "feed.add", FeedLine.class, "An address that was shown stays until it is revoked.");

  private static final CommandKind<String, CommandKind.Nothing> REVOKE =
      CommandKind.forGood(
          "feed.revoke", String.class, "An address that was revoked is never opened again.");

  private final FeedMapper mapper;
  private final FeedAddresses addresses;
  private final Alerts alerts;
  private final Publications publications;
  private final Commands commands;
  private final PublicIds ids;
  private final Calendar calendar;
  private final LanternProperties properties;

  /** A feed of the member who asks. */
  public record FeedLine(String id, String alert, String alertName, String address, Instant at) {}

  Feeds(
      FeedMapper mapper,
      FeedAddresses addresses,
      Alerts alerts,
      Publications publications,
      Commands commands,
      PublicIds ids,
      Calendar calendar,
      LanternProperties properties) {
    this.mapper = mapper;
    this.addresses = addresses;
    this.alerts = alerts;
    this.publications = publications;
    this.commands = commands;
    this.ids = ids;
    this.calendar = calendar;
    this.properties = properties;
  }

  /** The member's own feeds that have not been revoked. */
  @Transactional(readOnly = true)
  public List<FeedLine> mine(Member who) {
    return mapper.live(who.id()).stream().map(this::line).toList();
  }

  /** The member's address for an alert; the one there is, or a new one. */
  public FeedLine subscribe(Member who, UUID command, String alert) {
    return commands.run(who, command, ADD, () -> add(who, alert));
  }

  private CommandResult<FeedLine, CommandKind.Nothing> add(Member who, String alert) {
    int row = alerts.id(who, alert);
    mapper.add(ids.next(), who.id(), row, calendar.now());
    FeedLine line = line(mapper.findLive(who.id(), row));
    return CommandKind.done(line)
        .changing(Subject.Of.FEED, line.id())
        .about(Subject.Of.ALERT, List.of(alert))
        .toldTo(Audience.ME);
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

  private FeedLine line(FeedMapper.Row row) {
    return new FeedLine(
        row.pid(),
        row.alertPid(),
        row.alertName(),
        addresses.address(row.pid(), row.generation()),
        row.at());
  }

  /**
   * What is told at an address: 404 if it is none, 410 if it was revoked, or its alert ended thirty
   * days ago; until then its first entry says that it has ended.
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
    if (row.ended() != null && row.ended().plus(TOLD_AFTER_END).isBefore(calendar.now())) {
      throw new Refusal(HttpStatus.GONE, "ended", "The alert of this feed has ended.");
    }
    Page<FeedMapper.Told> page = Page.of(mapper.told(row.alert(), before, ENTRIES + 1), ENTRIES);
    List<FeedMapper.Told> told = page.rows();
    Map<Integer, StoredPublication> stored =
        publications.byAsked(
            new Viewer(row.grp()), told.stream().map(FeedMapper.Told::publication).toList());
    String installation = calendar.installation().toString();
    List<FeedPage.Entry> entries =
        new ArrayList<>(
            told.stream()
                .map(t -> entry(installation, row, t, stored.get(t.publication())))
                .toList());
    if (row.ended() != null && before == 0) {
      entries.add(0, ended(installation, row));
    }
    Instant updated =
        entries.stream().map(FeedPage.Entry::updated).max(Instant::compareTo).orElse(row.at());
    String address = addresses.address(row.pid(), row.generation());
    return new FeedPage(
        FeedPage.id(installation, "feed:" + row.pid()),
        row.alertName(),
        "What Quiet Lantern found for " + row.groupName(),
        row.groupName(),
        before == 0 ? address : address + "?before=" + before,
        address,
        page.more() ? address + "?before=" + page.last().id() : null,
        page(row),
        updated,
        entries);
  }

  private String page(FeedMapper.Row row) {
    return properties.baseUrl() + "/a/" + row.alertPid();
  }

  /** The last thing that is told. */
  private FeedPage.Entry ended(String installation, FeedMapper.Row row) {
    return new FeedPage.Entry(
        FeedPage.id(installation, "ended:" + row.pid() + ":" + row.ended()),
        "“%s” has ended".formatted(row.alertName()),
        List.of(row.groupName()),
        page(row),
        null,
        List.of(),
        "The alert has ended: nothing more comes here, and the feed is gone in thirty days. What it"
            + " found stays where it is.",
        row.ended(),
        row.ended());
  }

  private FeedPage.Entry entry(
      String installation, FeedMapper.Row row, FeedMapper.Told told, StoredPublication stored) {
    return FeedPage.Entry.of(
        FeedPage.id(installation, "arrival:" + row.grp() + ":" + told.occasion()),
        stored.publication(),
        stored.publication().abstractText(),
        properties.stableLink(stored.pid()),
        told.findingClass(),
        told.came(),
        updated(told));
  }

  /** When its round closed, or what is told of it last changed. */
  private static Instant updated(FeedMapper.Told told) {
    boolean later = told.changed() != null && told.changed().isAfter(told.closed());
    return later ? told.changed() : told.closed();
  }
}
