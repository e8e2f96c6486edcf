package org.quietlantern.server.bringing;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.quietlantern.core.publication.SourceRecord;
import org.quietlantern.server.action.Commands;
import org.quietlantern.server.catalogue.OwnRecords;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.StoredPublication;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.folder.Folders;
import org.quietlantern.server.folder.Keeping;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.harvest.SourceKeeping;
import org.quietlantern.server.harvest.Taking;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Checkpoint;
import org.quietlantern.server.platform.Json;
import org.quietlantern.server.platform.Refusal;
import org.quietlantern.server.review.Reviews;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Takes entries into the catalogue and the folder, and back, a page in a transaction. */
@Component
class BroughtTaking {
  /** Entries of a page: while one is taken, nobody else of the group can do anything. */
  static final int PAGE = 200;

  /** Letters of their records. */
  private static final int LETTERS = 4_000_000;

  private final BroughtMapper mapper;
  private final BroughtEntryMapper entries;
  private final Taking taking;
  private final OwnRecords own;
  private final SourceKeeping sources;
  private final Publications publications;
  private final Keeping keeping;
  private final Folders folders;
  private final Reviews reviews;
  private final Groups groups;
  private final Commands commands;
  private final Json json;
  private final Calendar calendar;
  private final Checkpoint checkpoint;

  BroughtTaking(
      BroughtMapper mapper,
      BroughtEntryMapper entries,
      Taking taking,
      OwnRecords own,
      SourceKeeping sources,
      Publications publications,
      Keeping keeping,
      Folders folders,
      Reviews reviews,
      Groups groups,
      Commands commands,
      Json json,
      Calendar calendar,
      Checkpoint checkpoint) {
    this.mapper = mapper;
    this.entries = entries;
    this.taking = taking;
    this.own = own;
    this.sources = sources;
    this.publications = publications;
    this.keeping = keeping;
    this.folders = folders;
    this.reviews = reviews;
    this.groups = groups;
    this.commands = commands;
    this.json = json;
    this.calendar = calendar;
    this.checkpoint = checkpoint;
  }

  /** Goes on by a page; answers whether more is to be done. */
  @Transactional
  public boolean page(int brought) {
    BroughtMapper.Row row = mapper.lock(brought);
    if (row == null) {
      return false;
    }
    return switch (row.state()) {
      case "taking" -> take(row);
      case "returning" -> giveBack(row);
      default -> false;
    };
  }

  private boolean take(BroughtMapper.Row row) {
    commands.holdTurn(row.grp());
    Optional<Member> member = groups.inGroup(row.grp(), row.membership());
    if (member.isEmpty() || row.folder() == null) {
      return stands(row, "Who brought it in, or the folder, is not there any more.");
    }
    Keeping.Into into;
    try {
      into = keeping.into(member.get(), row.folder());
    } catch (Refusal refused) {
      return stands(row, refused.getMessage());
    }
    entries.leaveOut(row.id());
    List<BroughtEntryMapper.Row> page = entries.next(row.id(), PAGE, LETTERS);
    entries.note(row.id(), json.write(taken(member.get(), row, into, page)));
    checkpoint.pass("bringing: page kept and noted, not committed");
    boolean more = entries.isReady(row.id());
    if (!more) {
      mapper.state(row.id(), "taken", calendar.now(), null);
      mapper.forgetContents(row.id());
    }
    return more;
  }

  /** What was taken stays; it can be gone on with into another folder. */
  private boolean stands(BroughtMapper.Row row, String why) {
    mapper.state(row.id(), "open", null, why);
    return false;
  }

  private List<BroughtEntryMapper.Outcome> taken(
      Member who, BroughtMapper.Row row, Keeping.Into into, List<BroughtEntryMapper.Row> page) {
    int source = sources.ofGroup(who);
    List<String> identifiers = page.stream().map(BroughtEntryMapper.Row::identifier).toList();
    Set<String> known = own.placed(source, identifiers).keySet();
    Map<String, SourceRecord> records = new LinkedHashMap<>();
    for (BroughtEntryMapper.Row entry : page) {
      SourceRecord record = record(who, entry, false);
      if ("same".equals(entry.decision())) {
        own.place(source, record, entry.decided());
      }
      if ("another".equals(entry.decision())) {
        own.keepApart(source, record.identifier(), List.of(entry.works()));
      }
      if (!known.contains(record.identifier())) {
        records.put(record.identifier(), record);
      }
    }
    taking.take(source, List.copyOf(records.values()));
    Map<String, Integer> placed = own.placed(source, identifiers);
    Map<Integer, StoredPublication> works = publications.byAsked(Viewer.of(who), placed.values());
    List<BroughtEntryMapper.Outcome> outcomes = new ArrayList<>();
    for (BroughtEntryMapper.Row entry : page) {
      StoredPublication work = works.get(placed.get(entry.identifier()));
      outcomes.add(
          work == null
              ? new BroughtEntryMapper.Outcome(entry.n(), "failed", null, false, null, null)
              : kept(who, row.command(), into, entry, work, known));
    }
    return outcomes;
  }

  private BroughtEntryMapper.Outcome kept(
      Member who,
      UUID command,
      Keeping.Into into,
      BroughtEntryMapper.Row entry,
      StoredPublication work,
      Set<String> known) {
    boolean isKnown = known.contains(entry.identifier());
    Keeping.Along along = keeping.along(who, command, into, work, entry.reason());
    String outcome =
        along.already()
            ? "there"
            : isKnown || work.group() == 0 || joins(entry) ? "joined" : "added";
    return new BroughtEntryMapper.Outcome(
        entry.n(), outcome, work.id(), isKnown, along.reason(), along.event());
  }

  /** Whether it went to a work that was here. */
  private static boolean joins(BroughtEntryMapper.Row entry) {
    boolean apart = "another".equals(entry.decision());
    return "same".equals(entry.decision()) || (entry.found().equals("here") && !apart);
  }

  private boolean giveBack(BroughtMapper.Row row) {
    commands.holdTurn(row.grp());
    Optional<Member> member = groups.inGroup(row.grp(), row.membership());
    if (member.isEmpty()) {
      mapper.state(row.id(), "taken", row.ended(), "Who brought it in has left the group.");
      return false;
    }
    List<BroughtEntryMapper.Row> page = entries.toReturn(row.id(), PAGE);
    entries.note(row.id(), json.write(returned(member.get(), row, page)));
    checkpoint.pass("bringing: page given back, not committed");
    if (page.size() < PAGE) {
      mapper.state(row.id(), "returned", calendar.now(), null);
    }
    return page.size() == PAGE;
  }

  /** Takes one entry back; it can be decided anew, unless it has to stay. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void backOne(Member who, BroughtMapper.Row row, BroughtEntryMapper.Row entry) {
    List<BroughtEntryMapper.Outcome> outcomes = returned(who, row, List.of(entry));
    if (outcomes.get(0).outcome().equals("stays")) {
      entries.note(row.id(), json.write(outcomes));
    } else {
      entries.reopen(row.id(), entry.n());
    }
  }

  /** What a colleague keeps or has said something of stays, with its record. */
  private List<BroughtEntryMapper.Outcome> returned(
      Member who, BroughtMapper.Row row, List<BroughtEntryMapper.Row> page) {
    int source = sources.ofGroup(who);
    Map<Integer, StoredPublication> now =
        publications.byAsked(
            Viewer.of(who), page.stream().map(BroughtEntryMapper.Row::work).toList());
    for (BroughtEntryMapper.Row entry : page) {
      StoredPublication work = now.get(entry.work());
      if (work != null) {
        keeping.back(
            who,
            row.command(),
            row.folder(),
            work.id(),
            new Keeping.Along(false, entry.itemReason(), entry.event()));
      }
    }
    Set<Integer> stay = staying(who, now.values());
    Set<String> again =
        Set.copyOf(
            entries.broughtAgain(
                who.group(),
                row.id(),
                page.stream().map(BroughtEntryMapper.Row::identifier).toArray(String[]::new)));
    List<SourceRecord> gone = new ArrayList<>();
    List<BroughtEntryMapper.Outcome> outcomes = new ArrayList<>();
    for (BroughtEntryMapper.Row entry : page) {
      StoredPublication work = now.get(entry.work());
      boolean stays = work != null && stay.contains(work.id());
      if (!stays && !entry.known() && !again.contains(entry.identifier())) {
        gone.add(record(who, entry, true));
      }
      String outcome = stays ? "stays" : "returned";
      outcomes.add(
          new BroughtEntryMapper.Outcome(entry.n(), outcome, null, entry.known(), null, null));
    }
    taking.take(source, gone);
    own.letGo(source, gone.stream().map(SourceRecord::identifier).toList());
    return outcomes;
  }

  /** Of the works that only the group has, those that somebody keeps or a colleague marked. */
  private Set<Integer> staying(Member who, Collection<StoredPublication> works) {
    List<Integer> own =
        works.stream()
            .filter(work -> work.group() != 0)
            .map(StoredPublication::id)
            .distinct()
            .toList();
    Set<Integer> stay = new HashSet<>(folders.heldByAnybody(who, own));
    reviews
        .onPublications(who, own)
        .forEach(
            (work, said) -> {
              if (said.stream().anyMatch(mark -> mark.member() != who.id())) {
                stay.add(work);
              }
            });
    return stay;
  }

  private SourceRecord record(Member who, BroughtEntryMapper.Row entry, boolean deleted) {
    return new SourceRecord(
        entry.identifier(),
        "mods",
        deleted ? "" : entry.record(),
        calendar.today(who.zoneId()).toString(),
        deleted);
  }
}
