package org.quietlantern.server.annotation;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.quietlantern.core.annotation.OtherWords;
import org.quietlantern.core.annotation.Part;
import org.quietlantern.core.publication.Text;
import org.quietlantern.server.action.CommandKind;
import org.quietlantern.server.action.CommandKinds;
import org.quietlantern.server.action.CommandResult;
import org.quietlantern.server.action.Commands;
import org.quietlantern.server.folder.Folders;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.PublicIds;
import org.quietlantern.server.platform.Refusal;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;

/**
 * What colleagues say of an annotation: of some of its words, or which other words they would
 * write. The writer takes or leaves it.
 */
@Service
public class AnnotationRemarks implements CommandKinds {
  private static final int LONGEST_REMARK = 4_000;
  private static final String OPEN = "open";
  private static final String TAKEN = "taken";
  private static final String LEFT = "left";

  private final CommandKind<RemarksGiven, Said> say =
      CommandKind.of("annotation.suggest", RemarksGiven.class, Said.class, this::unsay);
  private final CommandKind<Annotations.AnnotationGiven, Dealt> deal =
      CommandKind.of(
          "annotation.settle", Annotations.AnnotationGiven.class, Dealt.class, this::undeal);
  private final CommandKind<Annotations.AnnotationGiven, TakenBack> takeBack =
      CommandKind.of(
          "annotation.take-back",
          Annotations.AnnotationGiven.class,
          TakenBack.class,
          this::sayAgain);

  private final AnnotationMapper mapper;
  private final Annotations annotations;
  private final Folders folders;
  private final Commands commands;
  private final PublicIds ids;
  private final Calendar calendar;

  /** How many remarks were made of what was sent. */
  public record RemarksGiven(int count) {}

  record Said(List<Integer> remarks) {}

  /** {@code before} and {@code n}: as it was, and the wording that came; absent where none did. */
  record Dealt(AnnotationMapper.Outcome outcome, @Nullable AnnotationMapper.Kept before, int n) {}

  record TakenBack(int id, AnnotationMapper.NewRemark remark) {}

  /** Some words of a text: from the letter {@code start}, from 0, to before {@code end}. */
  public record WordsChosen(int start, int end) {}

  /**
   * Something to be said.
   *
   * @param seen all of the annotation, as it was when one began; how far it is may have changed
   * @param about the words that it is about; absent for all of it
   * @param text the remark, or why one would write it otherwise; may then be empty
   * @param instead all of it as one would write it; absent for a remark alone
   */
  public record ToSay(
      String seen, @Nullable WordsChosen about, String text, @Nullable String instead) {}

  AnnotationRemarks(
      AnnotationMapper mapper,
      Annotations annotations,
      Folders folders,
      Commands commands,
      PublicIds ids,
      Calendar calendar) {
    this.mapper = mapper;
    this.annotations = annotations;
    this.folders = folders;
    this.commands = commands;
    this.ids = ids;
    this.calendar = calendar;
  }

  /** Says something of some words, or suggests others, each change a suggestion of its own. */
  public RemarksGiven say(
      Member who, UUID command, String folder, String publication, ToSay wanted) {
    String text = Text.legal(wanted.text()).strip();
    if (text.length() > LONGEST_REMARK) {
      throw Refusal.unusable("remark", "A remark has at most 4,000 letters.");
    }
    return commands.run(
        who,
        command,
        say,
        () -> {
          Annotations.At at = annotations.at(who, folders.idToRemark(who, folder), publication);
          AnnotationMapper.Row row = at.row().orElseThrow(Refusal::unknown);
          if (!row.body().equals(wanted.seen())) {
            throw Annotations.stale();
          }
          List<AnnotationMapper.NewRemark> remarks = remarks(who, row, wanted, text);
          List<Integer> made = remarks.stream().map(mapper::addRemark).toList();
          List<String> names = remarks.stream().map(remark -> name(remark.pid())).toList();
          return annotations
              .told(who, folder, at, new RemarksGiven(made.size()), new Said(made))
              .changing(names);
        });
  }

  private List<AnnotationMapper.NewRemark> remarks(
      Member who, AnnotationMapper.Row row, ToSay wanted, String text) {
    if (row.body().isEmpty()) {
      throw Refusal.unusable("empty", "Nothing is written yet.");
    }
    if (wanted.instead() == null) {
      if (text.isEmpty()) {
        throw Refusal.unusable("remark", "A remark has at least one letter.");
      }
      return List.of(made(who, row, about(row, wanted), null, text));
    }
    String other = Text.legal(wanted.instead()).strip();
    if (other.length() > Annotations.LONGEST) {
      throw Refusal.unusable("annotation", "An annotation has at most 10,000 letters.");
    }
    List<OtherWords> differing = OtherWords.between(row.body(), other);
    if (differing.isEmpty()) {
      throw Refusal.unusable("same", "It reads so already.");
    }
    List<AnnotationMapper.NewRemark> all = new ArrayList<>();
    for (OtherWords one : differing) {
      all.add(made(who, row, one.part(), one.words(), all.isEmpty() ? text : ""));
    }
    return all;
  }

  private static Part about(AnnotationMapper.Row row, ToSay wanted) {
    WordsChosen about = wanted.about();
    if (about == null || about.start() == about.end()) {
      return new Part("", "", "", 0);
    }
    if (about.start() < 0 || about.end() < about.start() || about.end() > row.body().length()) {
      throw Refusal.unusable("words", "These words are not in it.");
    }
    return Part.of(row.body(), about.start(), about.end());
  }

  private AnnotationMapper.NewRemark made(
      Member who, AnnotationMapper.Row row, Part part, @Nullable String instead, String text) {
    return new AnnotationMapper.NewRemark(
        ids.next(),
        row.id(),
        who.id(),
        part.words(),
        part.before(),
        part.after(),
        part.start(),
        instead,
        text,
        calendar.now());
  }

  /** Takes what was suggested, leaves it, or opens it again. */
  public Annotations.AnnotationGiven deal(
      Member who, UUID command, String folder, String publication, String pid, String outcome) {
    if (!List.of(OPEN, TAKEN, LEFT).contains(outcome)) {
      throw Refusal.unusable("outcome", "What was suggested is taken, left or open.");
    }
    return commands.run(
        who,
        command,
        deal,
        () -> {
          Annotations.At at = annotations.at(who, folders.idToEdit(who, folder), publication);
          AnnotationMapper.Row row = at.row().orElseThrow(Refusal::unknown);
          AnnotationMapper.RemarkRow remark = get(who, row, pid);
          requireWriter(who, row);
          if (remark.outcome().equals(outcome)) {
            throw Refusal.conflict("stale", "Somebody dealt with it already.");
          }
          if (!outcome.equals(OPEN) && !remark.outcome().equals(OPEN)) {
            throw Refusal.conflict("stale", "It was dealt with; open it again first.");
          }
          mapper.deal(
              outcome.equals(OPEN)
                  ? new AnnotationMapper.Outcome(remark.id(), OPEN, null, null)
                  : new AnnotationMapper.Outcome(remark.id(), outcome, who.id(), calendar.now()));
          Dealt before =
              outcome.equals(TAKEN) && remark.instead() != null
                  ? taken(who, row, remark)
                  : new Dealt(remark.outcomeKept(), null, 0);
          int version = row.version() + (before.before() == null ? 0 : 1);
          CommandResult<Annotations.AnnotationGiven, Dealt> told =
              annotations
                  .told(who, folder, at, given(folder, at, version), before)
                  .changing(List.of(name(pid)));
          return before.before() == null ? told : told.changing(List.of(Annotations.name(at)));
        });
  }

  private Dealt taken(Member who, AnnotationMapper.Row row, AnnotationMapper.RemarkRow remark) {
    String body =
        part(remark)
            .replaced(row.body(), remark.instead())
            .orElseThrow(
                () ->
                    Refusal.conflict(
                        "words-gone", "The words are not there any more; write it yourself."))
            .strip();
    if (body.length() > Annotations.LONGEST) {
      throw Refusal.unusable("annotation", "An annotation has at most 10,000 letters.");
    }
    int n = annotations.put(row, row.writer(), body, who.id(), calendar.now());
    return new Dealt(remark.outcomeKept(), row.kept(), n);
  }

  static Part part(AnnotationMapper.RemarkRow remark) {
    return new Part(remark.words(), remark.before(), remark.after(), remark.start());
  }

  private static void requireWriter(Member who, AnnotationMapper.Row row) {
    if (row.writer() != who.id() && !row.writerLeft()) {
      throw Refusal.conflict(
          "not-yours", "%s takes or leaves what is suggested.".formatted(row.name()));
    }
  }

  private AnnotationMapper.RemarkRow get(Member who, AnnotationMapper.Row row, String pid) {
    return Optional.ofNullable(mapper.remark(who.group(), pid))
        .filter(remark -> remark.annotation() == row.id())
        .orElseThrow(Refusal::unknown);
  }

  /** Takes back what one said or suggested, as long as nobody dealt with it. */
  public Annotations.AnnotationGiven takeBack(
      Member who, UUID command, String folder, String publication, String pid) {
    return commands.run(
        who,
        command,
        takeBack,
        () -> {
          Annotations.At at = annotations.at(who, folders.idToRemark(who, folder), publication);
          AnnotationMapper.Row row = at.row().orElseThrow(Refusal::unknown);
          AnnotationMapper.RemarkRow remark = get(who, row, pid);
          if (remark.membership() != who.id()) {
            throw new Refusal(
                HttpStatus.FORBIDDEN, "not-yours", "It is taken back by whoever said it.");
          }
          if (!remark.outcome().equals(OPEN)) {
            throw Refusal.conflict("dealt-with", "It was dealt with, so it stays.");
          }
          mapper.removeRemarks(new Integer[] {remark.id()});
          return annotations
              .told(
                  who,
                  folder,
                  at,
                  given(folder, at, row.version()),
                  new TakenBack(remark.id(), kept(remark)))
              .changing(List.of(name(pid)));
        });
  }

  private static Annotations.AnnotationGiven given(String folder, Annotations.At at, int version) {
    return new Annotations.AnnotationGiven(folder, at.work().pid(), version);
  }

  private static String name(String remark) {
    return "annotation-remark:" + remark;
  }

  private static AnnotationMapper.NewRemark kept(AnnotationMapper.RemarkRow row) {
    return new AnnotationMapper.NewRemark(
        row.pid(),
        row.annotation(),
        row.membership(),
        row.words(),
        row.before(),
        row.after(),
        row.start(),
        row.instead(),
        row.body(),
        row.at());
  }

  private String unsay(Said said) {
    mapper.removeRemarks(said.remarks().toArray(Integer[]::new));
    return "";
  }

  private String undeal(Dealt before) {
    mapper.deal(before.outcome());
    if (before.before() != null) {
      mapper.removeWording(before.before().id(), before.n());
      mapper.put(before.before());
    }
    return "";
  }

  private String sayAgain(TakenBack before) {
    mapper.restoreRemark(before.id(), before.remark());
    return "";
  }

  @Override
  public List<CommandKind<?, ?>> kinds() {
    return List.of(say, deal, takeBack);
  }
}
