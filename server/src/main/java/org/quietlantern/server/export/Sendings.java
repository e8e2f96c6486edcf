package org.quietlantern.server.export;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.quietlantern.core.mail.MailAddress;
import org.quietlantern.server.action.Audience;
import org.quietlantern.server.action.CommandKind;
import org.quietlantern.server.action.CommandKinds;
import org.quietlantern.server.action.CommandResult;
import org.quietlantern.server.action.Commands;
import org.quietlantern.server.bibliography.Bibliographies.LeavingBibliography;
import org.quietlantern.server.bibliography.BibliographyForm;
import org.quietlantern.server.catalogue.StoredPublication;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.mail.Letter;
import org.quietlantern.server.mail.Outbox;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.PublicIds;
import org.quietlantern.server.platform.Refusal;
import org.quietlantern.server.platform.web.Attachment;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Works that a member sends by mail, and what became of the letters. */
@Service
public class Sendings implements CommandKinds {
  /** To so many a letter goes at once. */
  static final int MOST_TO = 20;

  /** Works of the file that goes along. */
  private static final int MOST_IN_FILE = 500;

  private static final int LONGEST_NOTE = 4_000;
  private static final int PAGE = 50;

  private static final CommandKind<Sent, CommandKind.Nothing> SEND =
      CommandKind.forGood("publications.send", Sent.class, "The letters are on their way.");

  private final SendingMapper mapper;
  private final SentWorks works;
  private final ExportFiles files;
  private final SentTexts texts;
  private final Groups groups;
  private final Outbox outbox;
  private final Commands commands;
  private final PublicIds ids;
  private final Calendar calendar;

  /**
   * What is sent to whom.
   *
   * @param addresses each once
   * @param members public ids of members of the group
   * @param copy whether one goes to oneself, too
   * @param note may be empty
   * @param file absent for none
   * @param texts whether texts go along, where that may be
   * @param bibliography the works as a folder's bibliography has them; absent: as the group cites
   * @param form of the bibliography as a file; absent for none
   * @param place below the group's address, where members find it; empty for nowhere
   */
  record SendWanted(
      List<String> addresses,
      List<String> members,
      boolean copy,
      String note,
      @Nullable ExportFiles.Wanted file,
      boolean texts,
      @Nullable LeavingBibliography bibliography,
      @Nullable BibliographyForm form,
      String place) {
    boolean hasAll() {
      return file != null || form != null;
    }
  }

  /** To how many it goes, and with how many texts. */
  public record Sent(String id, int letters, int texts) {}

  /** A text that goes along. {@code size}: in bytes. */
  public record TextAlong(String publication, String title, String name, int size) {}

  /** {@code why}: as a sentence. */
  public record TextNotAlong(String publication, String title, String why) {}

  /**
   * Which texts would go along.
   *
   * @param more works that a letter would not list; nothing of them goes along
   */
  public record TextsAlong(List<TextAlong> along, List<TextNotAlong> not, int more) {}

  /** {@code state}: waiting, sent or given up; {@code trouble}: why the last try failed. */
  public record LetterShown(String to, String state, @Nullable String trouble) {}

  /** {@code file}: its name; empty for none. */
  public record SendingShown(
      String id,
      String name,
      int works,
      String file,
      int texts,
      Instant at,
      List<LetterShown> letters) {}

  Sendings(
      SendingMapper mapper,
      SentWorks works,
      ExportFiles files,
      SentTexts texts,
      Groups groups,
      Outbox outbox,
      Commands commands,
      PublicIds ids,
      Calendar calendar) {
    this.mapper = mapper;
    this.works = works;
    this.files = files;
    this.texts = texts;
    this.groups = groups;
    this.outbox = outbox;
    this.commands = commands;
    this.ids = ids;
    this.calendar = calendar;
  }

  /** What one sent, the latest first; {@code before}: the last of the page before. */
  @Transactional(readOnly = true)
  public List<SendingShown> of(Member who, @Nullable String before) {
    int from = 0;
    if (before != null) {
      Integer known = mapper.find(who.id(), before);
      if (known == null) {
        throw Refusal.unknown();
      }
      from = known;
    }
    List<SendingMapper.Row> rows = mapper.of(who.id(), from, PAGE);
    Map<Integer, List<LetterShown>> letters =
        mapper.letters(rows.stream().map(SendingMapper.Row::id).toArray(Integer[]::new)).stream()
            .collect(
                Collectors.groupingBy(
                    SendingMapper.LetterRow::sending,
                    Collectors.mapping(
                        row -> new LetterShown(row.to(), row.state(), row.trouble()),
                        Collectors.toList())));
    return rows.stream()
        .map(
            row ->
                new SendingShown(
                    row.pid(),
                    row.name(),
                    row.works(),
                    row.file(),
                    row.texts(),
                    row.at(),
                    letters.getOrDefault(row.id(), List.of())))
        .toList();
  }

  /** Which texts would go along with a letter, and why the others would not. */
  @Transactional(readOnly = true)
  public TextsAlong texts(Member who, Leaving leaving) {
    List<SentTexts.SentText> all = texts.of(who, works.listed(who, leaving));
    return new TextsAlong(
        all.stream()
            .filter(SentTexts.SentText::goes)
            .map(one -> new TextAlong(one.publication(), one.title(), one.name(), one.size()))
            .toList(),
        all.stream()
            .filter(one -> !one.goes())
            .map(one -> new TextNotAlong(one.publication(), one.title(), one.why()))
            .toList(),
        SentWorks.rest(leaving));
  }

  Sent send(Member who, UUID command, Leaving leaving, SendWanted wanted) {
    outbox.requireMail();
    Set<MailAddress> to = recipients(who, wanted);
    refuseUnfit(leaving, wanted);
    return commands.run(who, command, SEND, () -> sent(who, leaving, wanted, to));
  }

  private Set<MailAddress> recipients(Member who, SendWanted wanted) {
    Set<MailAddress> to = new LinkedHashSet<>();
    for (String typed : wanted.addresses()) {
      to.add(
          MailAddress.read(typed)
              .orElseThrow(
                  () ->
                      Refusal.unusable(
                          "email", "“%s” is no e-mail address.".formatted(typed.strip()))));
    }
    List<String> members = new ArrayList<>(wanted.members());
    if (wanted.copy()) {
      members.add(who.pid());
    }
    Map<String, String> known =
        mapper.addresses(who.group(), members.toArray(String[]::new)).stream()
            .collect(Collectors.toMap(SendingMapper.Address::pid, SendingMapper.Address::email));
    for (String member : members) {
      if (!known.containsKey(member)) {
        throw Refusal.unusable("members", "One of the members is in the group no more.");
      }
      to.add(new MailAddress(known.get(member)));
    }
    if (to.isEmpty()) {
      throw Refusal.unusable("email", "Say to whom it goes.");
    }
    if (to.size() > MOST_TO) {
      throw Refusal.unusable(
          "email",
          "It would go to %,d; a letter goes to %d at once.".formatted(to.size(), MOST_TO));
    }
    return to;
  }

  private static void refuseUnfit(Leaving leaving, SendWanted wanted) {
    if (wanted.note().length() > LONGEST_NOTE) {
      throw Refusal.unusable("note", "A note has at most 4,000 characters.");
    }
    if (leaving.works().isEmpty()) {
      throw Refusal.unusable("publications", "Nothing is there to be sent.");
    }
    boolean partly = leaving.works().size() > SentWorks.LISTED;
    if (partly && !wanted.hasAll() && wanted.place().isEmpty()) {
      throw Refusal.unusable(
          "file",
          "A letter lists %d publications; choose a file for all %,d."
              .formatted(SentWorks.LISTED, leaving.works().size()));
    }
    if (wanted.hasAll() && leaving.works().size() > MOST_IN_FILE) {
      throw Refusal.unusable(
          "file",
          "A file of %,d publications is too much for a letter: it takes %d. Send it without one."
              .formatted(leaving.works().size(), MOST_IN_FILE));
    }
  }

  private CommandResult<Sent, CommandKind.Nothing> sent(
      Member who, Leaving leaving, SendWanted wanted, Set<MailAddress> to) {
    List<Letter.Enclosed> enclosed = new ArrayList<>();
    if (wanted.file() != null) {
      enclosed.add(references(who, leaving, wanted.file()));
    }
    if (wanted.form() != null && wanted.bibliography() != null) {
      enclosed.add(bibliography(wanted.bibliography(), wanted.form()));
    }
    String all = enclosed.stream().map(Letter.Enclosed::name).collect(Collectors.joining(", "));
    List<StoredPublication> listed = works.listed(who, leaving);
    List<SentTexts.SentText> looked = wanted.texts() ? texts.of(who, listed) : List.of();
    List<SentTexts.SentText> along = looked.stream().filter(SentTexts.SentText::goes).toList();
    along.stream().map(Sendings::text).forEach(enclosed::add);
    String group = groups.name(who.group());
    int many = leaving.works().size();
    String what = many == 1 ? "a publication" : "%,d publications".formatted(many);
    Map<String, Object> values =
        new HashMap<>(
            works.values(
                who,
                leaving,
                listed,
                wanted.place(),
                looked.stream().collect(Collectors.toMap(SentTexts.SentText::work, one -> one)),
                wanted.bibliography() == null ? List.of() : wanted.bibliography().entries()));
    values.put("who", who.name());
    values.put("group", group);
    values.put("what", what);
    values.put("name", leaving.name());
    values.put("note", wanted.note().strip());
    values.put(
        "paragraphs",
        wanted.note().lines().filter(line -> !line.isBlank()).map(l -> Map.of("text", l)).toList());
    values.put("file", all);
    String answer = mapper.addresses(who.group(), new String[] {who.pid()}).get(0).email();
    String subject = "%s: %s".formatted(what.replaceFirst("^a ", "A "), leaving.name());
    String pid = ids.next();
    int sending =
        mapper.add(
            new SendingMapper.NewSending(
                pid,
                who.group(),
                who.id(),
                leaving.name(),
                many,
                all,
                along.size(),
                calendar.now()));
    List<Long> kept = enclosed.stream().map(outbox::keep).toList();
    for (MailAddress one : to) {
      long letter =
          outbox.write(
              new Letter(one, subject, "sending", values, who.group(), answer, kept, null));
      mapper.addLetter(sending, letter);
    }
    return CommandKind.done(new Sent(pid, to.size(), along.size())).toldTo(Audience.ME);
  }

  private static Letter.Enclosed bibliography(LeavingBibliography of, BibliographyForm form) {
    return new Letter.Enclosed(
        Attachment.name(of.file().title(), form.ending()), form.type(), form.write(of.file()));
  }

  private static Letter.Enclosed text(SentTexts.SentText text) {
    try {
      return new Letter.Enclosed(
          text.name(), text.file().type(), text.file().file().getContentAsByteArray());
    } catch (IOException gone) {
      throw Refusal.conflict(
          "changed-since", "“%s” was taken out just now; look again.".formatted(text.name()));
    }
  }

  private Letter.Enclosed references(Member who, Leaving leaving, ExportFiles.Wanted wanted) {
    StringBuilder text = new StringBuilder();
    try {
      files.write(who, leaving, wanted, piece -> text.append(piece.text()));
    } catch (IOException impossible) {
      throw new UncheckedIOException(impossible);
    }
    return new Letter.Enclosed(
        Attachment.name(leaving.name(), wanted.format().extension()),
        wanted.format().mediaType() + "; charset=UTF-8",
        text.toString().getBytes(StandardCharsets.UTF_8));
  }

  @Override
  public List<CommandKind<?, ?>> kinds() {
    return List.of(SEND);
  }
}
