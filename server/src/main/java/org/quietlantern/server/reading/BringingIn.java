package org.quietlantern.server.reading;

import java.io.IOException;
import java.io.InputStream;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.core.publication.Text;
import org.quietlantern.core.publication.VersionKind;
import org.quietlantern.core.text.TakenText;
import org.quietlantern.server.action.CommandKind;
import org.quietlantern.server.action.CommandKinds;
import org.quietlantern.server.action.CommandResult;
import org.quietlantern.server.action.Commands;
import org.quietlantern.server.action.Subject;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.StoredPublication;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Refusal;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;

/** Texts that members bring in for their group, and take out again (rule T4). */
@Service
class BringingIn implements CommandKinds {
  private static final int LONGEST_NAME = 200;
  private static final int LONGEST_LICENCE = 300;
  private final CommandKind<Brought, Before> bring =
      new CommandKind<>("text.bring", Brought.class, Before.class, this::undo);
  private final CommandKind<Brought, Before> takeOut =
      new CommandKind<>("text.take-out", Brought.class, Before.class, this::undo);
  private final TextMapper mapper;
  private final TextStore store;
  private final GroupTexts texts;
  private final Publications publications;
  private final Commands commands;
  private final Calendar calendar;

  /** The text, by which it is read. */
  record Brought(String text) {}

  /** For an undo. {@code wasHere}: whether the group had it before. */
  record Before(int copy, boolean wasHere) {}

  /**
   * What a member says of a file.
   *
   * @param version of which it is; null: of the one that the catalogue tells of
   * @param licence what its use is bound to, in words; may be empty
   * @param sure that it belongs to the publication, whatever its first pages say
   */
  record Saying(String name, @Nullable String version, @Nullable String licence, boolean sure) {}

  BringingIn(
      TextMapper mapper,
      TextStore store,
      GroupTexts texts,
      Publications publications,
      Commands commands,
      Calendar calendar) {
    this.mapper = mapper;
    this.store = store;
    this.texts = texts;
    this.publications = publications;
    this.commands = commands;
    this.calendar = calendar;
  }

  /**
   * Brings a file in as the text of a publication. Refused where it cannot be read here, and, until
   * the member is sure, where it seems to be the text of something else.
   */
  Brought bring(Member who, UUID command, String pid, Saying saying, InputStream body)
      throws IOException {
    byte[] content = body.readNBytes(TextStore.LARGEST + 1);
    if (content.length > TextStore.LARGEST) {
      throw Refusal.unusable("text", "The file is larger than 40 MB.");
    }
    StoredPublication of = publications.get(Viewer.of(who), pid);
    TextStore.Said said = said(saying, of.publication());
    return commands.run(
        who,
        command,
        bring,
        () -> look(content, of.publication(), saying.sure()),
        seen -> {
          boolean wasHere =
              texts.rows(who, of).stream().anyMatch(row -> Arrays.equals(row.hash(), seen.hash()));
          int copy = store.keep(who.group(), who.id(), of, seen, said);
          return result(of, copy, new Before(copy, wasHere));
        });
  }

  private TextStore.Seen look(byte[] content, Publication of, boolean sure) {
    try {
      TextStore.Seen seen = store.look(content);
      String doubt = TextStore.doubt(seen.text(), of);
      if ("other work".equals(doubt) && !sure) {
        throw new Refusal(
            HttpStatus.CONFLICT,
            "text-doubtful",
            "Neither the title nor the DOI stands in its first pages. Is it the text of this work?",
            Map.of("title", seen.text().title()));
      }
      return seen;
    } catch (TakenText.Unreadable why) {
      throw Refusal.unusable("text", why.getMessage());
    }
  }

  private static TextStore.Said said(Saying saying, Publication of) {
    VersionKind version =
        saying.version() == null
            ? of.version()
            : VersionKind.named(saying.version())
                .orElseThrow(() -> Refusal.unusable("version", "There is no such version."));
    String name = Text.atMost(LONGEST_NAME, Text.clean(saying.name()));
    String licence =
        saying.licence() == null ? "" : Text.atMost(LONGEST_LICENCE, Text.clean(saying.licence()));
    return new TextStore.Said(
        version.word(),
        TextStore.BROUGHT_IN,
        null,
        name.isEmpty() ? "a file" : name,
        licence,
        null);
  }

  /** Takes a text out of the group; for thirty days it can be brought back by an undo. */
  Brought takeOut(Member who, UUID command, String text) {
    return commands.run(
        who,
        command,
        takeOut,
        () -> {
          TextMapper.Row row = texts.row(who, text);
          mapper.setGone(row.id(), calendar.now());
          mapper.changed(who.group());
          return result(texts.work(who, row), row.id(), new Before(row.id(), true));
        });
  }

  private CommandResult<Brought, Before> result(StoredPublication of, int copy, Before before) {
    String pid = mapper.pid(copy);
    return CommandResult.of(new Brought(pid), before)
        .changing(List.of("text:" + pid))
        .about(Subject.Of.PUBLICATION, List.of(of.pid()));
  }

  /** As it was before: there, or not. */
  private String undo(Member who, UUID command, Before before) {
    mapper.changed(who.group());
    int changed = mapper.setGone(before.copy(), before.wasHere() ? null : calendar.now());
    return changed == 0 ? "The file was taken out more than thirty days ago and is gone." : "";
  }

  @Override
  public List<CommandKind<?, ?>> kinds() {
    return List.of(bring, takeOut);
  }
}
