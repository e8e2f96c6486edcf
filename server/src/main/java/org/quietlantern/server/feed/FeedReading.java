package org.quietlantern.server.feed;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.StoredPublication;
import org.quietlantern.server.catalogue.Summary;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.matching.Summaries;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Editions;
import org.quietlantern.server.platform.LanternProperties;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Page;
import org.quietlantern.server.platform.Refusal;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What a reader of feeds gets at an address: what its member sees now. */
@Service
class FeedReading {
  private static final int ENTRIES = 200;
  private static final int LONGEST_READER = 200;

  /** Whoever reads no feeds for a month still learns that an alert has ended. */
  private static final Duration TOLD_AFTER_END = Duration.ofDays(30);

  private final FeedMapper mapper;
  private final FeedSources sources;
  private final RoundCalendar rounds;
  private final FeedAddresses addresses;
  private final Groups groups;
  private final Publications publications;
  private final Summaries summaries;
  private final Editions editions;
  private final Calendar calendar;
  private final LanternProperties properties;

  FeedReading(
      FeedMapper mapper,
      FeedSources sources,
      RoundCalendar rounds,
      FeedAddresses addresses,
      Groups groups,
      Publications publications,
      Summaries summaries,
      Editions editions,
      Calendar calendar,
      LanternProperties properties) {
    this.mapper = mapper;
    this.sources = sources;
    this.rounds = rounds;
    this.addresses = addresses;
    this.groups = groups;
    this.publications = publications;
    this.summaries = summaries;
    this.editions = editions;
    this.calendar = calendar;
    this.properties = properties;
  }

  /**
   * What is told at an address: 404 if it is none, 410 if it was revoked, what it tells is gone, or
   * its alert ended thirty days ago; until then its first entry says that it has ended.
   *
   * @param before the page after an entry; 0: the first page
   */
  @Transactional(readOnly = true)
  public FeedPage read(String feed, String secret, int before) {
    Opened opened = open(feed, secret);
    requireWorks(opened);
    Member who = opened.who();
    String subject = opened.row().subject();
    String address = opened.address();
    FeedSource.Thing thing = sources.read(who, subject, before, ENTRIES + 1);
    requireTold(thing);
    Page<FeedSource.Told> page = Page.of(thing.told(), ENTRIES);
    List<FeedPage.Entry> entries = new ArrayList<>(entries(opened, page.rows()));
    if (thing.ended() != null && before == 0) {
      entries.add(0, ended(opened, thing.ended()));
    }
    return page(
        opened,
        thing.says(),
        entries,
        new FeedPage.Place(
            before == 0 ? address : address + "?before=" + before,
            address,
            page.more() ? address + "?before=" + page.last().id() : null,
            sources
                .archive(who, subject, "")
                .map(latest -> new FeedPage.Archives(false, archive(address, latest.name()), null))
                .orElse(null)));
  }

  /**
   * A document that does not change any more but in what its works are (RFC 5005, 4).
   *
   * @param name as its address has it
   */
  @Transactional(readOnly = true)
  public FeedPage archive(String feed, String secret, String name) {
    Opened opened = open(feed, secret);
    String address = opened.address();
    FeedSource.Archive archive =
        sources
            .archive(opened.who(), opened.row().subject(), name)
            .filter(found -> !name.isEmpty())
            .orElseThrow(Refusal::unknown);
    requireTold(archive.thing());
    return page(
        opened,
        archive.thing().says(),
        entries(opened, archive.thing().told()),
        new FeedPage.Place(
            archive(address, name),
            address,
            null,
            new FeedPage.Archives(
                true, archive(address, archive.before()), archive(address, archive.after()))));
  }

  /**
   * Names the state of all that a feed depends on, without reading it: 404 and 410 as {@link
   * #read}. What addresses outside answer is in it once a day.
   */
  @Transactional(readOnly = true)
  public String state(String feed, String secret) {
    Member who = open(feed, secret).who();
    return "%s %s %s"
        .formatted(mapper.latest(who.group()), editions.now(), calendar.today(who.zoneId()));
  }

  /** A calendar (RFC 5545), at the address of one; see {@link #read}. */
  @Transactional(readOnly = true)
  public byte[] calendar(String feed, String secret) {
    Opened opened = open(feed, secret);
    if (!sources.isCalendar(opened.row().subject())) {
      throw Refusal.unknown();
    }
    return rounds.write(opened.who());
  }

  private void requireWorks(Opened opened) {
    if (sources.isCalendar(opened.row().subject())) {
      throw Refusal.unknown();
    }
  }

  private void requireTold(FeedSource.Thing thing) {
    if (thing.ended() != null && thing.ended().plus(TOLD_AFTER_END).isBefore(calendar.now())) {
      throw new Refusal(HttpStatus.GONE, "ended", "The alert of this feed has ended.");
    }
  }

  private static @Nullable String archive(String address, @Nullable String name) {
    return name == null ? null : address + "?archive=" + name;
  }

  /** A feed behind its address, and for whom it is read. */
  private record Opened(FeedMapper.Row row, Member who, FeedSource.Named named, String address) {}

  private Opened open(String feed, String secret) {
    FeedMapper.Row row = mapper.byPid(feed);
    if (row == null || !addresses.isRight(feed, row.generation(), secret)) {
      throw Refusal.unknown();
    }
    if (row.revoked() != null) {
      throw new Refusal(HttpStatus.GONE, "revoked", "This feed address was revoked.");
    }
    Member who = groups.findMember(row.groupPid(), row.account()).orElseThrow(Refusal::unknown);
    return new Opened(
        row,
        who,
        sources.named(who, row.subject()),
        addresses.address(row.pid(), row.generation(), ".atom"));
  }

  private FeedPage page(
      Opened opened, String says, List<FeedPage.Entry> entries, FeedPage.Place place) {
    FeedMapper.Row row = opened.row();
    return new FeedPage(
        FeedPage.id(installation(), "feed:" + row.pid()),
        opened.named().name(),
        says.formatted(row.groupName()),
        row.groupName(),
        place,
        alternate(opened),
        entries.stream().map(FeedPage.Entry::updated).max(Instant::compareTo).orElse(row.at()),
        entries);
  }

  private String alternate(Opened opened) {
    return "%s/g/%s/%s"
        .formatted(properties.baseUrl(), opened.who().groupPid(), opened.named().place());
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
  private FeedPage.Entry ended(Opened opened, Instant ended) {
    return new FeedPage.Entry(
        FeedPage.id(installation(), "ended:" + opened.row().pid() + ":" + ended),
        "“%s” has ended".formatted(opened.named().name()),
        List.of(opened.row().groupName()),
        alternate(opened),
        null,
        List.of(),
        "The alert has ended: nothing more comes here, and the feed is gone in thirty days. What it"
            + " found stays where it is.",
        ended,
        ended);
  }

  /** Where an entry leads: to the work, or to where opening it marks it seen. */
  private String link(Opened opened, StoredPublication work) {
    return opened.row().marksSeen()
        ? properties.baseUrl()
            + "/g/%s/p/%s?from=%s"
                .formatted(opened.row().groupPid(), work.pid(), opened.row().pid())
        : properties.stableLink(work.pid());
  }

  private List<FeedPage.Entry> entries(Opened opened, List<FeedSource.Told> told) {
    Member who = opened.who();
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
                  link(opened, work),
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
