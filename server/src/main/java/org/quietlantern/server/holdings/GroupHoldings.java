package org.quietlantern.server.holdings;

import java.time.Instant;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.quietlantern.core.holdings.Holdings;
import org.quietlantern.core.holdings.KbartReader;
import org.quietlantern.core.publication.Kind;
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

/** The holdings files of groups. */
@Service
public class GroupHoldings implements CommandKinds {
  private static final CommandKind<Taken, CommandKind.Nothing> TAKE =
      CommandKind.forGood(
          "holdings.take",
          Taken.class,
          "The former holdings are brought back by taking in their file.");

  static final String COORDINATORS = "A coordinator of the group says what its library has.";

  /** Characters of a file. */
  static final int LONGEST = 20_000_000;

  private final HoldingsMapper mapper;
  private final Commands commands;
  private final Groups groups;
  private final Editions editions;
  private final Calendar calendar;

  /** What a group may read, and the kinds that its lending library takes requests for. */
  public record Read(Holdings holdings, Set<Kind> lent) {}

  /** The group's holdings as the page shows them; {@code name} of the file is empty for none. */
  public record HoldingsView(
      String name,
      @Nullable String by,
      @Nullable Instant at,
      List<TitleLine> titles,
      List<String> lends,
      String library,
      String resolver) {}

  /** A title and one stretch of it. */
  public record TitleLine(String title, List<String> issns, Stretch stretch) {}

  /**
   * What taking a file in would change, by names of titles.
   *
   * @param titles stretches that may be read by it
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

  /** As kept now; reading it costs something, so that the caller keeps it for an edition. */
  @Transactional(readOnly = true)
  public Read of(int group) {
    HoldingsMapper.FileRow file = mapper.file(group);
    Set<Kind> lent = EnumSet.noneOf(Kind.class);
    mapper.lends(group).forEach(kind -> Kind.named(kind).ifPresent(lent::add));
    Holdings holdings = file == null ? Holdings.NONE : KbartReader.read(file.file()).holdings();
    return new Read(holdings, lent);
  }

  @Transactional(readOnly = true)
  public HoldingsView view(Member who) {
    HoldingsMapper.FileRow file = mapper.file(who.group());
    Read now = of(who.group());
    List<TitleLine> titles = now.holdings().titles().stream().map(GroupHoldings::line).toList();
    List<String> lends = now.lent().stream().map(Kind::word).toList();
    if (file == null) {
      return new HoldingsView("", null, null, titles, lends, who.library(), who.resolver());
    }
    String by =
        file.membership() == null
            ? null
            : groups.names(who.group()).getOrDefault(file.membership(), "a former member");
    return new HoldingsView(
        file.name(), by, file.at(), titles, lends, who.library(), who.resolver());
  }

  private static TitleLine line(Holdings.Title title) {
    return new TitleLine(title.name(), title.issns(), Stretch.of(title.coverage()));
  }

  /** Nothing for a group that brought none in. */
  @Transactional(readOnly = true)
  public BroughtIn file(Member who) {
    HoldingsMapper.FileRow row = mapper.file(who.group());
    return row == null ? new BroughtIn("", "") : new BroughtIn(row.name(), row.file());
  }

  /** What a file would change if it took the place of the one that is here. Coordinators only. */
  @Transactional(readOnly = true)
  public HoldingsChanges look(Member who, @Nullable String file) {
    who.requireCoordinator(COORDINATORS);
    KbartReader.Read parsed = parse(file == null ? "" : file);
    Holdings.Changes changes = of(who.group()).holdings().changesTo(parsed.holdings());
    return new HoldingsChanges(
        parsed.holdings().titles().size(),
        changes.added(),
        changes.changed(),
        changes.gone(),
        problems(parsed));
  }

  /**
   * Takes in a file in place of the one before. A file out of which nothing can be read changes
   * nothing. Coordinators only.
   */
  public Taken take(Member who, UUID command, String name, String file) {
    who.requireCoordinator(COORDINATORS);
    return commands.run(
        who,
        command,
        TAKE,
        () -> parse(file),
        parsed -> {
          keep(who.group(), name, file.replace("\u0000", ""), who.id());
          Taken taken = new Taken(parsed.holdings().titles().size(), problems(parsed));
          return CommandKind.done(taken).changing(List.of("holdings"));
        });
  }

  @Override
  public List<CommandKind<?, ?>> kinds() {
    return List.of(TAKE);
  }

  /** The same for an installation that sets a group up. */
  @Transactional
  public void set(int group, String name, String file) {
    parse(file);
    keep(group, name, file.replace("\u0000", ""), null);
  }

  private void keep(int group, String name, String file, @Nullable Integer membership) {
    String clean = name.strip();
    mapper.keep(
        group, file, clean.substring(0, Math.min(clean.length(), 200)), membership, calendar.now());
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
