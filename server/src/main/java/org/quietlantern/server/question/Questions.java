package org.quietlantern.server.question;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Predicate;
import org.quietlantern.core.publication.Text;
import org.quietlantern.core.question.Place;
import org.quietlantern.server.action.Audience;
import org.quietlantern.server.action.CommandKind;
import org.quietlantern.server.action.CommandKinds;
import org.quietlantern.server.action.CommandResult;
import org.quietlantern.server.action.Commands;
import org.quietlantern.server.action.Subject;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.folder.Folders;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.matching.Matching;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.PublicIds;
import org.quietlantern.server.platform.Refusal;
import org.quietlantern.server.trail.Trail;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;

/**
 * What members ask each other. A question is of two sides: who asked, and who is asked (a member,
 * or whoever is the group's librarian; its coordinators where nobody is). Nobody else learns of it.
 * Whoever asked closes it.
 */
@Service
public class Questions implements CommandKinds {
  private static final int LONGEST = 4_000;
  private static final int MOST_WORDS = 200;

  private final CommandKind<QuestionAsked, Asked> ask =
      CommandKind.of("question.ask", QuestionAsked.class, Asked.class, this::takeBack);
  private final CommandKind<QuestionAsked, Answered> answer =
      CommandKind.of("question.answer", QuestionAsked.class, Answered.class, this::takeBack);
  private final CommandKind<QuestionAsked, QuestionMapper.Standing> close = standing("close");
  private final CommandKind<QuestionAsked, QuestionMapper.Standing> open = standing("open");

  private final QuestionMapper mapper;
  private final Groups groups;
  private final Folders folders;
  private final Publications publications;
  private final Trail trail;
  private final Matching matching;
  private final Commands commands;
  private final PublicIds ids;
  private final Calendar calendar;

  /** A question that something was done to. */
  public record QuestionAsked(String id) {}

  /** For an undo. */
  record Asked(int id) {}

  record Answered(int word, QuestionMapper.Standing before) {}

  Questions(
      QuestionMapper mapper,
      Groups groups,
      Folders folders,
      Publications publications,
      Trail trail,
      Matching matching,
      Commands commands,
      PublicIds ids,
      Calendar calendar) {
    this.mapper = mapper;
    this.groups = groups;
    this.folders = folders;
    this.publications = publications;
    this.trail = trail;
    this.matching = matching;
    this.commands = commands;
    this.ids = ids;
    this.calendar = calendar;
  }

  private CommandKind<QuestionAsked, QuestionMapper.Standing> standing(String act) {
    return CommandKind.of(
        "question." + act,
        QuestionAsked.class,
        QuestionMapper.Standing.class,
        before -> {
          mapper.put(before);
          return "";
        });
  }

  /**
   * Asks with what is looked at.
   *
   * @param to public id of a member; empty: the group's librarian
   * @param address the address that is looked at, below the group's
   */
  public QuestionAsked ask(Member who, UUID command, String to, String text, String address) {
    String clean = cleaned(text);
    Place place =
        Place.read(address)
            .orElseThrow(() -> Refusal.unusable("place", "This cannot be shown to a colleague."));
    return commands.run(
        who,
        command,
        ask,
        () -> count(who, place.kind() == Place.Kind.SHEET ? place.id() : null),
        found -> {
          Optional<Member> asked = to.isEmpty() ? Optional.empty() : Optional.of(asked(who, to));
          List<Member> told = asked.map(List::of).orElseGet(() -> librarians(who));
          told.forEach(one -> requireSeen(who, one, place));
          String pid = ids.next();
          int id =
              mapper.add(
                  new QuestionMapper.New(
                      pid,
                      who.group(),
                      who.id(),
                      asked.map(Member::id).orElse(null),
                      clean,
                      place.address(),
                      found.orElse(null),
                      calendar.now()));
          return told(pid, new Asked(id), told);
        });
  }

  private Optional<Integer> count(Member who, @Nullable String q) {
    return q == null
        ? Optional.empty()
        : Optional.of(matching.count(who, trail.get(who, q).strategy()));
  }

  private Member asked(Member who, String pid) {
    Member member = groups.member(who.group(), pid);
    if (!member.mayWrite() || member.id() == who.id()) {
      throw Refusal.unusable("to", "Ask another member; guests cannot answer.");
    }
    return member;
  }

  /** Who answers what the group's librarian is asked; refused where that is only who asks. */
  private List<Member> librarians(Member who) {
    List<Member> others =
        groups.members(who.group()).stream()
            .filter(answering(who.group()))
            .filter(one -> one.id() != who.id())
            .toList();
    if (others.isEmpty()) {
      throw Refusal.unusable("to", "The group has no librarian but you; ask a member.");
    }
    return others;
  }

  /** Who is the group's librarian; its coordinators are where nobody is. */
  private Predicate<Member> answering(int group) {
    List<String> librarians = groups.settings(group).librarians();
    return member ->
        librarians.isEmpty() ? member.coordinates() : librarians.contains(member.pid());
  }

  QuestionMapper.Reader reader(Member who) {
    return new QuestionMapper.Reader(who.group(), who.id(), answering(who.group()).test(who));
  }

  /** What is shown has to be there for both. */
  private void requireSeen(Member who, Member other, Place place) {
    switch (place.kind()) {
      case FOLDER -> {
        folders.id(who, place.id());
        if (folders.names(other, List.of(place.id())).isEmpty()) {
          throw Refusal.unusable(
              "to", "%s does not see this folder; let them in first.".formatted(other.name()));
        }
      }
      case PUBLICATION -> publications.get(Viewer.of(who), place.id());
      default -> {}
    }
  }

  private static String cleaned(@Nullable String text) {
    String clean = text == null ? "" : Text.legal(text).strip();
    if (clean.isEmpty() || clean.length() > LONGEST) {
      throw Refusal.unusable("text", "Say something, in 4,000 letters at most.");
    }
    return clean;
  }

  /**
   * Says something to a question, from either side. One that was closed waits again.
   *
   * @param q address of a sheet that is proposed; absent: none is
   */
  public QuestionAsked answer(
      Member who, UUID command, String question, String text, @Nullable String q) {
    String clean = cleaned(text);
    return commands.run(
        who,
        command,
        answer,
        () -> count(who, q),
        found -> {
          QuestionMapper.Row row = find(who, question);
          if (row.words() >= MOST_WORDS) {
            throw Refusal.conflict("too-long", "So much was said to this; ask another question.");
          }
          QuestionMapper.Standing before = mapper.standing(row.id());
          int word =
              mapper.say(
                  new QuestionMapper.NewWord(
                      ids.next(),
                      row.id(),
                      who.id(),
                      clean,
                      q,
                      found.orElse(null),
                      calendar.now()));
          mapper.put(
              new QuestionMapper.Standing(row.id(), null, before.took(), before.version() + 1));
          return told(question, new Answered(word, before), others(who, row));
        });
  }

  private QuestionMapper.Row find(Member who, String question) {
    return Optional.ofNullable(mapper.find(reader(who), question)).orElseThrow(Refusal::unknown);
  }

  /** Everybody of the two sides but who acts. */
  private List<Member> others(Member who, QuestionMapper.Row row) {
    Predicate<Member> asked =
        row.asked() == null ? answering(who.group()) : one -> one.id() == row.asked();
    return groups.members(who.group()).stream()
        .filter(asked.or(one -> one.id() == row.askedBy()))
        .filter(one -> one.id() != who.id())
        .toList();
  }

  /**
   * Says that nothing more is needed, or that it is asked again; by whoever asked.
   *
   * @param took public id of the word whose sheet is taken; absent: none is
   */
  public QuestionAsked stand(
      Member who,
      UUID command,
      String question,
      int version,
      boolean closed,
      @Nullable String took) {
    return commands.run(
        who,
        command,
        closed ? close : open,
        () -> {
          QuestionMapper.Row row = find(who, question);
          if (row.askedBy() != who.id()) {
            throw new Refusal(
                HttpStatus.FORBIDDEN,
                "not-yours",
                "Whoever asked says when nothing more is needed.");
          }
          if (row.version() != version) {
            throw Refusal.conflict(
                "stale", "Something was said meanwhile; it is shown as it is now.");
          }
          QuestionMapper.Standing before = mapper.standing(row.id());
          mapper.put(
              new QuestionMapper.Standing(
                  row.id(),
                  closed ? calendar.now() : null,
                  closed && took != null ? proposal(row, took) : null,
                  version + 1));
          return told(question, before, others(who, row));
        });
  }

  private int proposal(QuestionMapper.Row row, String took) {
    return mapper.words(row.id()).stream()
        .filter(word -> word.pid().equals(took) && word.q() != null)
        .findFirst()
        .orElseThrow(Refusal::unknown)
        .id();
  }

  private static <B> CommandResult<QuestionAsked, B> told(String pid, B before, List<Member> to) {
    return CommandResult.of(new QuestionAsked(pid), before)
        .changing(Subject.Of.QUESTION, pid)
        .about(Subject.Of.PERSON, to.stream().map(Member::pid).toList())
        .toldTo(Audience.THOSE);
  }

  private String takeBack(Asked before) {
    mapper.remove(before.id());
    return "";
  }

  private String takeBack(Answered before) {
    mapper.unsay(before.word());
    mapper.put(before.before());
    return "";
  }

  @Override
  public List<CommandKind<?, ?>> kinds() {
    return List.of(ask, answer, close, open);
  }
}
