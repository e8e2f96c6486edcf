package org.quietlantern.server.holdings;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.quietlantern.core.holdings.Holdings;
import org.quietlantern.core.holdings.KbartReader;
import org.quietlantern.core.publication.Text;
import org.quietlantern.server.action.Audience;
import org.quietlantern.server.action.CommandKind;
import org.quietlantern.server.action.CommandKinds;
import org.quietlantern.server.action.Commands;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Editions;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Refusal;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The holdings files of groups and of their members. */
@Service
public class GroupHoldings implements CommandKinds {
  private static final CommandKind<Taken, CommandKind.Nothing> TAKE =
      CommandKind.forGood(
          "holdings.take",
          Taken.class,
          "The former holdings are brought back by taking in their file.");

  static final String COORDINATORS = "A coordinator of the group says what its library has.";

  /** Characters of a file, and of its name. */
  static final int LONGEST = 20_000_000;

  private static final int LONGEST_NAME = 200;
  private static final KbartReader.Read NOTHING = new KbartReader.Read(Holdings.NONE, List.of());

  private final HoldingsMapper mapper;
  private final Commands commands;
  private final Groups groups;
  private final Editions editions;
  private final Calendar calendar;

  /** A holdings file as the page shows it; {@code name} is empty for none. */
  public record HoldingsView(
      String name, @Nullable String by, @Nullable Instant at, List<TitleLine> titles) {}

  /**
   * A title and one stretch of it.
   *
   * @param numbers ISSN and ISBN
   * @param readers how many may read at the same time; absent where nobody says
   * @param place where the volumes stand; empty for what is not in print
   */
  public record TitleLine(
      String title,
      List<String> numbers,
      Stretch stretch,
      @Nullable Integer readers,
      String place) {}

  /**
   * What taking a file in would change, by names of titles.
   *
   * @param titles stretches that are held by it
   */
  public record HoldingsChanges(
      int titles,
      List<String> added,
      List<String> changed,
      List<String> gone,
      List<ProblemLine> problems) {}

  /** The file that was brought in, as it was. */
  public record BroughtIn(String name, String file) {}

  /** What taking a file in came to. */
  public record Taken(int titles, List<ProblemLine> problems) {}

  /** A line of the file that could not be used, counting from 1. */
  public record ProblemLine(int line, String what) {}

  GroupHoldings(
      HoldingsMapper mapper,
      Commands commands,
      Groups groups,
      Editions editions,
      Calendar calendar) {
    this.editions = editions;
    this.mapper = mapper;
    this.commands = commands;
    this.groups = groups;
    this.calendar = calendar;
  }

  /** What a group may read; it costs something, so that the caller keeps it for an edition. */
  @Transactional(readOnly = true)
  public Holdings of(int group) {
    HoldingsMapper.FileRow file = mapper.file(group, Shelf.GROUP.word(), 0);
    return file == null ? Holdings.NONE : KbartReader.read(file.file()).holdings();
  }

  @Transactional(readOnly = true)
  public HoldingsView view(Member who, Shelf shelf) {
    HoldingsMapper.FileRow file = row(who, shelf);
    if (file == null) {
      return new HoldingsView("", null, null, List.of());
    }
    String by =
        file.membership() == null
            ? null
            : groups.names(who.group()).getOrDefault(file.membership(), "a former member");
    List<TitleLine> titles =
        KbartReader.read(file.file()).holdings().titles().stream()
            .map(GroupHoldings::line)
            .toList();
    return new HoldingsView(file.name(), by, file.at(), titles);
  }

  private HoldingsMapper.FileRow row(Member who, Shelf shelf) {
    return mapper.file(who.group(), shelf.word(), owner(who, shelf));
  }

  private static int owner(Member who, Shelf shelf) {
    return shelf == Shelf.OWN ? who.id() : 0;
  }

  private static TitleLine line(Holdings.Title title) {
    return new TitleLine(
        title.name(),
        title.numbers(),
        Stretch.of(title.coverage()),
        title.readers().isPresent() ? title.readers().getAsInt() : null,
        title.place());
  }

  /** Nothing where none was brought in. */
  @Transactional(readOnly = true)
  public BroughtIn file(Member who, Shelf shelf) {
    HoldingsMapper.FileRow row = row(who, shelf);
    return row == null ? new BroughtIn("", "") : new BroughtIn(row.name(), row.file());
  }

  /** What a file would change if it took the place of the one that is here. */
  @Transactional(readOnly = true)
  public HoldingsChanges look(Member who, Shelf shelf, @Nullable String file) {
    requireMay(who, shelf);
    KbartReader.Read parsed = parse(file == null ? "" : file);
    HoldingsMapper.FileRow row = row(who, shelf);
    Holdings now = row == null ? Holdings.NONE : KbartReader.read(row.file()).holdings();
    Holdings.Changes changes = now.changesTo(parsed.holdings());
    return new HoldingsChanges(
        parsed.holdings().titles().size(),
        changes.added(),
        changes.changed(),
        changes.gone(),
        problems(parsed));
  }

  /**
   * Takes in a file in place of the one before. A file out of which nothing can be read changes
   * nothing; an empty one takes the former away.
   */
  public Taken take(Member who, Shelf shelf, UUID command, String name, String file) {
    requireMay(who, shelf);
    return commands.run(
        who,
        command,
        TAKE,
        () -> file.isEmpty() ? NOTHING : parse(file),
        parsed -> {
          put(who.group(), shelf, owner(who, shelf), name, file, who.id());
          Taken taken = new Taken(parsed.holdings().titles().size(), problems(parsed));
          return shelf == Shelf.OWN
              ? CommandKind.done(taken).toldTo(Audience.ME)
              : CommandKind.done(taken).changing(List.of("holdings"));
        });
  }

  private static void requireMay(Member who, Shelf shelf) {
    if (shelf != Shelf.OWN) {
      who.requireCoordinator(COORDINATORS);
    }
  }

  @Override
  public List<CommandKind<?, ?>> kinds() {
    return List.of(TAKE);
  }

  /** The same for an installation that sets a group up. */
  @Transactional
  public void set(int group, Shelf shelf, String name, String file) {
    parse(file);
    put(group, shelf, 0, name, file, null);
  }

  private void put(
      int group, Shelf shelf, int owner, String name, String file, @Nullable Integer by) {
    if (file.isEmpty()) {
      mapper.drop(group, shelf.word(), owner);
    } else {
      mapper.keep(
          group,
          owner,
          new HoldingsMapper.FileRow(
              shelf.word(),
              file.replace("\u0000", ""),
              Text.atMost(LONGEST_NAME, name.strip()),
              by,
              calendar.now()));
    }
    editions.next(Editions.Kind.HOLDINGS);
  }

  private static KbartReader.Read parse(String file) {
    if (file.length() > LONGEST) {
      throw Refusal.unusable("holdings-file", "The file is longer than 20 million characters.");
    }
    KbartReader.Read parsed = KbartReader.read(file.replace("\u0000", ""));
    if (parsed.holdings().titles().isEmpty()) {
      String first =
          parsed.problems().isEmpty()
              ? "it has no lines"
              : "line " + parsed.problems().get(0).line() + ": " + parsed.problems().get(0).what();
      throw new Refusal(
          HttpStatus.UNPROCESSABLE_CONTENT,
          "holdings-file",
          "Nothing in this file can be used; " + first + ".",
          Map.of("problems", problems(parsed)));
    }
    return parsed;
  }

  private static List<ProblemLine> problems(KbartReader.Read parsed) {
    return parsed.problems().stream().map(p -> new ProblemLine(p.line(), p.what())).toList();
  }
}
