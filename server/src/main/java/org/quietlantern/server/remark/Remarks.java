package org.quietlantern.server.remark;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.quietlantern.core.publication.Text;
import org.quietlantern.core.review.Mentions;
import org.quietlantern.server.action.CommandKind;
import org.quietlantern.server.action.CommandKinds;
import org.quietlantern.server.action.CommandResult;
import org.quietlantern.server.action.Commands;
import org.quietlantern.server.action.Subject;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.StoredPublication;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.folder.Folders;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.PublicIds;
import org.quietlantern.server.platform.Refusal;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * What members say to each other of a publication: remarks with answers, written anew for a quarter
 * of an hour, taken back, settled. They belong to the group and the work, not to a folder.
 */
@Service
public class Remarks implements CommandKinds {
  static final int LONGEST = 10_000;

  /** How long a remark may be written anew; after that another one is written. */
  static final Duration CHANGEABLE = Duration.ofMinutes(15);

  private final CommandKind<RemarkGiven, Added> add =
      CommandKind.of("remark.add", RemarkGiven.class, Added.class, this::takeBack);
  private final CommandKind<RemarkGiven, Written> write =
      CommandKind.of("remark.change", RemarkGiven.class, Written.class, this::writeBack);
  private final CommandKind<RemarkGiven, Gone> takeBack =
      CommandKind.of("remark.take-back", RemarkGiven.class, Gone.class, this::bring);
  private final CommandKind<RemarkGiven, Settled> settle =
      CommandKind.of("remark.settle", RemarkGiven.class, Settled.class, this::settleBack);

  private final RemarkMapper mapper;
  private final Publications publications;
  private final Folders folders;
  private final Groups groups;
  private final Commands commands;
  private final PublicIds ids;
  private final Calendar calendar;

  /** A remark that something was done to. */
  public record RemarkGiven(String id) {}

  record Added(int id) {}

  record Written(int group, int id, String was, String is, @Nullable Instant changed) {}

  record Gone(int id) {}

  record Settled(int id, @Nullable Instant settled, @Nullable Integer by) {}

  Remarks(
      RemarkMapper mapper,
      Publications publications,
      Folders folders,
      Groups groups,
      Commands commands,
      PublicIds ids,
      Calendar calendar) {
    this.mapper = mapper;
    this.publications = publications;
    this.folders = folders;
    this.groups = groups;
    this.commands = commands;
    this.ids = ids;
    this.calendar = calendar;
  }

  /** {@code answers}: the remark that is answered; an answer to an answer belongs to its remark. */
  public RemarkGiven add(
      Member who, UUID command, String pid, String text, @Nullable String answers) {
    String clean = cleaned(text);
    return commands.run(
        who,
        command,
        add,
        () -> {
          StoredPublication stored = publications.get(Viewer.of(who), pid);
          refuseReader(who, stored.id());
          Integer above = answers == null ? null : answered(who, stored, answers);
          String remark = ids.next();
          int id =
              mapper.add(
                  new RemarkMapper.New(
                      remark, who.group(), stored.id(), who.id(), above, clean, calendar.now()));
          mention(who.group(), id, clean);
          return done(stored.pid(), remark, new Added(id));
        });
  }

  /** Guests say something of what is in a folder where they were asked to. */
  private void refuseReader(Member who, int publication) {
    folders.requireSeen(who, publication);
    if (!folders.mayRemark(who, publication)) {
      throw new Refusal(HttpStatus.FORBIDDEN, "guest", "Guests read; they change nothing.");
    }
  }

  private int answered(Member who, StoredPublication stored, String answers) {
    RemarkMapper.Row row = get(who, answers);
    if (row.publication() != stored.id()) {
      throw Refusal.unknown();
    }
    return row.answers() == null ? row.id() : row.answers();
  }

  private static String cleaned(String text) {
    String clean = text == null ? "" : Text.legal(text).strip();
    if (clean.isEmpty() || clean.length() > LONGEST) {
      throw Refusal.unusable("remark", "A remark has between one letter and 10,000.");
    }
    return clean;
  }

  private void mention(int group, int remark, String text) {
    mapper.forgetMentions(remark);
    List<Integer> members = Mentions.in(text, groups.names(group));
    if (!members.isEmpty()) {
      mapper.mention(remark, members.toArray(Integer[]::new));
    }
  }

  /** Writes a remark of one's own anew, as long as that is done. */
  public RemarkGiven change(Member who, UUID command, String remark, String text) {
    String clean = cleaned(text);
    return commands.run(
        who,
        command,
        write,
        () -> {
          RemarkMapper.Row row = own(who, remark);
          Instant now = calendar.now();
          if (row.at().plus(CHANGEABLE).isBefore(now)) {
            throw Refusal.conflict(
                "too-late", "A remark is written anew for a quarter of an hour; write another.");
          }
          Written before = new Written(who.group(), row.id(), row.body(), clean, row.changed());
          mapper.write(row.id(), row.body(), clean, now);
          mention(who.group(), row.id(), clean);
          return done(pid(who, row), remark, before);
        });
  }

  /** Takes a remark of one's own back; answers to it stay. */
  public RemarkGiven takeBack(Member who, UUID command, String remark) {
    return commands.run(
        who,
        command,
        takeBack,
        () -> {
          RemarkMapper.Row row = own(who, remark);
          mapper.setGone(row.id(), calendar.now());
          return done(pid(who, row), remark, new Gone(row.id()));
        });
  }

  /** Says that what a remark asks is settled, or that it is not. */
  public RemarkGiven settle(Member who, UUID command, String remark, boolean isSettled) {
    return commands.run(
        who,
        command,
        settle,
        () -> {
          RemarkMapper.Row row = get(who, remark);
          if (row.answers() != null) {
            throw Refusal.unusable("answer", "A remark is settled with its answers.");
          }
          Settled before = new Settled(row.id(), row.settled(), row.settledBy());
          mapper.settle(row.id(), isSettled ? calendar.now() : null, isSettled ? who.id() : null);
          return done(pid(who, row), remark, before);
        });
  }

  /** Notes for the member alone that they looked at a remark that mentions them, or did not. */
  @Transactional
  public void lookAt(Member who, String remark, boolean lookedAt) {
    RemarkMapper.Row row = get(who, remark);
    if (mapper.seen(row.id(), who.id(), lookedAt ? calendar.now() : null) == 0) {
      throw Refusal.unknown();
    }
  }

  private <B> CommandResult<RemarkGiven, B> done(String publication, String remark, B before) {
    return CommandResult.of(new RemarkGiven(remark), before)
        .changing(List.of("remark:" + remark))
        .about(Subject.Of.PUBLICATION, List.of(publication));
  }

  private String pid(Member who, RemarkMapper.Row row) {
    return publications.byId(Viewer.of(who), List.of(row.publication())).stream()
        .findFirst()
        .map(StoredPublication::pid)
        .orElseThrow(Refusal::unknown);
  }

  private RemarkMapper.Row get(Member who, String remark) {
    return Optional.ofNullable(mapper.find(who.group(), remark)).orElseThrow(Refusal::unknown);
  }

  private RemarkMapper.Row own(Member who, String remark) {
    RemarkMapper.Row row = get(who, remark);
    refuseReader(who, row.publication());
    if (row.membership() != who.id()) {
      throw new Refusal(
          HttpStatus.FORBIDDEN, "not-yours", "A remark is changed by whoever wrote it.");
    }
    return row;
  }

  private String takeBack(Added before) {
    if (mapper.isAnswered(before.id())) {
      mapper.setGone(before.id(), calendar.now());
      return "It was answered; the answers stay.";
    }
    mapper.remove(before.id());
    return "";
  }

  private String writeBack(Written before) {
    if (mapper.write(before.id(), before.is(), before.was(), before.changed()) == 0) {
      return "The remark is not there any more as it was.";
    }
    mention(before.group(), before.id(), before.was());
    return "";
  }

  private String bring(Gone before) {
    mapper.setGone(before.id(), null);
    return "";
  }

  private String settleBack(Settled before) {
    mapper.settle(before.id(), before.settled(), before.by());
    return "";
  }

  @Override
  public List<CommandKind<?, ?>> kinds() {
    return List.of(add, write, takeBack, settle);
  }
}
