package org.quietlantern.server.bringing;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.quietlantern.core.publication.Text;
import org.quietlantern.core.reference.CsvColumn;
import org.quietlantern.server.action.Audience;
import org.quietlantern.server.action.CommandKind;
import org.quietlantern.server.action.CommandKinds;
import org.quietlantern.server.action.CommandResult;
import org.quietlantern.server.action.Commands;
import org.quietlantern.server.action.Subject;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.StoredPublication;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.folder.Folders;
import org.quietlantern.server.folder.Keeping;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.index.IndexKeeper;
import org.quietlantern.server.platform.Away;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Json;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.PublicIds;
import org.quietlantern.server.platform.Refusal;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/** What members bring in: begun, filled with files, decided, taken, taken back. */
@Service
class Broughts implements CommandKinds {
  private static final Logger LOG = LoggerFactory.getLogger(Broughts.class);

  /** Files of one act. */
  private static final int MOST_FILES = 100;

  private static final int MOST_LAG = 2 * BroughtTaking.PAGE;

  private static final Set<String> DECISIONS = Set.of("same", "another", "out");

  /** By its public id. */
  record BroughtName(String id) {}

  /** How many entries were decided. */
  record Decided(int entries) {}

  /** {@code decisions}: as they were. */
  record DecidedBefore(int brought, List<BroughtEntryMapper.Decision> decisions) {}

  /**
   * What is decided.
   *
   * @param entries by their numbers; absent: all that were found as {@code of} says
   * @param decision {@code same}, {@code another} or {@code out}; absent: nothing yet
   * @param publication that they are, where there are several to choose from; absent: the first
   */
  record ToDecide(
      @Nullable List<Integer> entries,
      @Nullable String of,
      @Nullable String decision,
      @Nullable String publication) {}

  private final CommandKind<BroughtName, BroughtName> begin =
      new CommandKind<>(
          "brought.begin",
          BroughtName.class,
          BroughtName.class,
          (who, command, before) -> left(who, before.id()));

  private final CommandKind<BroughtName, CommandKind.Nothing> leave =
      CommandKind.forGood(
          "brought.leave", BroughtName.class, "Nothing of it was taken; bring the files in again.");

  private final CommandKind<Decided, DecidedBefore> decide =
      new CommandKind<>(
          "brought.decide",
          Decided.class,
          DecidedBefore.class,
          (who, command, before) -> undecide(before));

  private final CommandKind<BroughtName, CommandKind.Nothing> take =
      CommandKind.forGood(
          "brought.take", BroughtName.class, "Its receipt takes it back, all of it at once.");

  private final CommandKind<BroughtName, CommandKind.Nothing> giveBack =
      CommandKind.forGood(
          "brought.return", BroughtName.class, "Its receipt takes it in again, if that is wanted.");

  private final CommandKind<BroughtName, CommandKind.Nothing> giveOneBack =
      CommandKind.forGood(
          "brought.return-one", BroughtName.class, "It can be decided anew and taken in again.");

  private final BroughtMapper mapper;
  private final BroughtEntryMapper entries;
  private final BroughtReading reading;
  private final BroughtTaking taking;
  private final Publications publications;
  private final Folders folders;
  private final Keeping keeping;
  private final Groups groups;
  private final IndexKeeper index;
  private final Commands commands;
  private final TransactionTemplate transactions;
  private final PublicIds ids;
  private final Json json;
  private final Calendar calendar;

  Broughts(
      BroughtMapper mapper,
      BroughtEntryMapper entries,
      BroughtReading reading,
      BroughtTaking taking,
      Publications publications,
      Folders folders,
      Keeping keeping,
      Groups groups,
      IndexKeeper index,
      Commands commands,
      TransactionTemplate transactions,
      PublicIds ids,
      Json json,
      Calendar calendar) {
    this.mapper = mapper;
    this.entries = entries;
    this.reading = reading;
    this.taking = taking;
    this.publications = publications;
    this.folders = folders;
    this.keeping = keeping;
    this.groups = groups;
    this.index = index;
    this.commands = commands;
    this.transactions = transactions;
    this.ids = ids;
    this.json = json;
    this.calendar = calendar;
  }

  @Override
  public List<CommandKind<?, ?>> kinds() {
    return List.of(begin, leave, decide, take, giveBack, giveOneBack);
  }

  /** What a member brought in is theirs to see; what it became, the group's. */
  BroughtMapper.Row get(Member who, String brought) {
    return Optional.ofNullable(mapper.find(who.id(), brought)).orElseThrow(Refusal::unknown);
  }

  BroughtName begin(Member who, UUID command) {
    return commands.run(
        who,
        command,
        begin,
        () -> {
          String pid = ids.next();
          mapper.add(pid, who.group(), who.id(), calendar.now());
          return mine(new BroughtName(pid), new BroughtName(pid), pid);
        });
  }

  private static <A, B> CommandResult<A, B> mine(A answer, B before, String pid) {
    return CommandResult.of(answer, before).changing(List.of("brought:" + pid)).toldTo(Audience.ME);
  }

  private String left(Member who, String brought) {
    BroughtMapper.Row row = get(who, brought);
    if (!row.state().equals("open") || row.folder() != null) {
      throw Refusal.conflict("brought-taken", "Some of it was taken already.");
    }
    mapper.remove(who.id(), brought);
    return "";
  }

  /** Forgets one of which nothing was taken. */
  BroughtName leave(Member who, UUID command, String brought) {
    return commands.run(
        who,
        command,
        leave,
        () -> {
          left(who, brought);
          return mine(new BroughtName(brought), new CommandKind.Nothing(), brought);
        });
  }

  /** Keeps a file and reads it, at once where it is small; the same number again replaces it. */
  void put(Member who, String brought, int n, @Nullable String name, byte[] content) {
    if (n < 0 || n >= MOST_FILES) {
      throw Refusal.unusable(
          "files", "At once, %d files are brought in at most.".formatted(MOST_FILES));
    }
    String clean = Text.atMost(200, Text.clean(name == null ? "" : name));
    BroughtMapper.Row row = open(who, brought);
    transactions.executeWithoutResult(
        status -> {
          mapper.lock(row.id());
          mapper.removeParts(row.id(), n);
          mapper.removeFile(row.id(), n);
          mapper.addFile(row.id(), n, clean.isEmpty() ? "a file" : clean, content);
          if (BroughtReading.isShort(content)) {
            reading.read(who, row.id(), n);
          } else {
            reading.glance(who, row.id(), n);
          }
        });
  }

  private BroughtMapper.Row open(Member who, String brought) {
    BroughtMapper.Row row = get(who, brought);
    if (!row.state().equals("open") || row.folder() != null) {
      throw Refusal.conflict("brought-taken", "Some of it was taken already; begin anew.");
    }
    return row;
  }

  /** Reads a file that waits; nothing where whoever brought it has left. */
  void read(int brought, int n) {
    BroughtMapper.Row row = transactions.execute(status -> mapper.lock(brought));
    if (row == null) {
      return;
    }
    groups
        .inGroup(row.grp(), row.membership())
        .ifPresentOrElse(member -> read(member, brought, n), () -> mapper.isRead(brought, n, true));
  }

  private void read(Member who, int brought, int n) {
    try {
      reading.read(who, brought, n);
    } catch (RuntimeException odd) {
      if (Away.isCauseOf(odd)) {
        throw odd;
      }
      LOG.warn("file {} of what was brought in ({}) cannot be read", n, brought, odd);
      reading.broken(brought, n);
    }
  }

  /** Says what the columns of a table hold, by their heads; it is read again, and remembered. */
  void columns(Member who, String brought, int n, Map<String, String> columns) {
    BroughtMapper.Row row = open(who, brought);
    columns
        .values()
        .forEach(
            word -> {
              if (!word.isEmpty() && CsvColumn.named(word).isEmpty()) {
                throw Refusal.unusable("column", "No column holds “%s”.".formatted(word));
              }
            });
    BroughtMapper.FileRow file =
        mapper.files(row.id()).stream()
            .filter(one -> one.n() == n)
            .findFirst()
            .orElseThrow(Refusal::unknown);
    int whole = n < BroughtReading.PARTS ? n : n / BroughtReading.PARTS - 1;
    transactions.executeWithoutResult(
        status -> {
          mapper.lock(row.id());
          String said = json.write(new Columns(columns));
          mapper.knowColumns(who.group(), file.heads(), said);
          mapper.columns(row.id(), whole, said);
          if (BroughtReading.isShort(mapper.content(row.id(), whole).content())) {
            reading.read(who, row.id(), whole);
          }
        });
  }

  /** Decides what entries are; what was taken stays as it is. */
  Decided decide(Member who, UUID command, String brought, ToDecide wanted) {
    BroughtMapper.Row row = get(who, brought);
    if (wanted.decision() != null && !DECISIONS.contains(wanted.decision())) {
      throw Refusal.unusable("decision", "An entry is the same, another, or left out.");
    }
    return commands.run(
        who,
        command,
        decide,
        () -> {
          List<BroughtEntryMapper.Row> open = entries.open(row.id(), chosen(row, wanted));
          List<BroughtEntryMapper.Decision> before = new ArrayList<>();
          List<BroughtEntryMapper.Decision> now = new ArrayList<>();
          for (BroughtEntryMapper.Row entry : open) {
            before.add(
                new BroughtEntryMapper.Decision(entry.n(), entry.decision(), entry.decided()));
            now.add(decision(who, entry, wanted));
          }
          entries.decide(row.id(), json.write(now));
          return CommandResult.of(new Decided(now.size()), new DecidedBefore(row.id(), before))
              .changing(open.stream().map(entry -> "brought:" + brought + ":" + entry.n()).toList())
              .toldTo(Audience.ME);
        });
  }

  private Integer[] chosen(BroughtMapper.Row row, ToDecide wanted) {
    if (wanted.entries() != null) {
      return wanted.entries().toArray(Integer[]::new);
    }
    String of = Optional.ofNullable(wanted.of()).orElse("");
    return entries.openOf(row.id(), of).toArray(Integer[]::new);
  }

  private BroughtEntryMapper.Decision decision(
      Member who, BroughtEntryMapper.Row entry, ToDecide wanted) {
    String decision = wanted.decision();
    boolean compares = "same".equals(decision) || "another".equals(decision);
    if (compares && entry.works().length == 0) {
      throw Refusal.conflict("nothing-like-it", "Nothing here is like this entry.");
    }
    if (compares && entry.byKey().equals("record")) {
      throw Refusal.conflict(
          "brought-before", "This very entry was brought in before, and is where it was put.");
    }
    return new BroughtEntryMapper.Decision(
        entry.n(), decision, "same".equals(decision) ? same(who, entry, wanted) : null);
  }

  private Integer same(Member who, BroughtEntryMapper.Row entry, ToDecide wanted) {
    if (wanted.publication() == null) {
      return entry.works()[0];
    }
    StoredPublication work = publications.get(Viewer.of(who), wanted.publication());
    if (!List.of(entry.works()).contains(work.id())) {
      throw Refusal.unusable("publication", "The entry is not like that publication.");
    }
    return work.id();
  }

  private String undecide(DecidedBefore before) {
    entries.decide(before.brought(), json.write(before.decisions()));
    return "";
  }

  /** Takes what is decided, the first page at once; the rest goes on by itself. */
  BroughtName take(Member who, UUID command, String brought, String folder) {
    int id = get(who, brought).id();
    BroughtName taken =
        commands.run(who, command, take, () -> started(who, command, brought, folder));
    goOn(id);
    return taken;
  }

  /** By a page, which can be found at once, unless the index has more to do than that. */
  private void goOn(int id) {
    taking.page(id);
    if (index.lag() <= MOST_LAG) {
      index.catchUp();
    }
  }

  private CommandResult<BroughtName, CommandKind.Nothing> started(
      Member who, UUID command, String brought, String folder) {
    BroughtMapper.Row row = mapper.lock(get(who, brought).id());
    int into = keeping.into(who, folders.idToEdit(who, folder)).folder();
    if (row.state().equals("taking") || row.state().equals("returning")) {
      throw Refusal.conflict("brought-under-way", "It is under way already.");
    }
    if (row.folder() != null && row.folder() != into && folders.isThere(row.folder())) {
      throw Refusal.conflict(
          "one-folder", "It goes into “%s”, as what was taken before.".formatted(row.folderName()));
    }
    if (mapper.files(row.id()).stream().anyMatch(file -> !file.read())) {
      throw Refusal.conflict("brought-unread", "A file of it is still being read.");
    }
    entries.again(row.id());
    if (!entries.isReady(row.id())) {
      throw Refusal.conflict("nothing-to-take", "There is nothing in it to be taken.");
    }
    mapper.take(row.id(), into, command);
    return CommandResult.of(new BroughtName(brought), new CommandKind.Nothing())
        .changing(List.of("brought:" + brought))
        .about(Subject.Of.FOLDER, List.of(folder))
        .toldTo(folders.audience(who, folder));
  }

  /** Takes one entry back, so that it can be decided anew. */
  BroughtName giveOneBack(Member who, UUID command, String brought, int n) {
    int id = get(who, brought).id();
    BroughtName returned =
        commands.run(
            who,
            command,
            giveOneBack,
            () -> {
              BroughtMapper.Row row = mapper.lock(id);
              if (row.state().equals("taking") || row.state().equals("returning")) {
                throw Refusal.conflict("brought-under-way", "It is under way; wait for its end.");
              }
              taking.backOne(who, row, takenEntry(row, n));
              return CommandResult.of(new BroughtName(brought), new CommandKind.Nothing())
                  .changing(List.of("brought:" + brought + ":" + n))
                  .toldTo(Audience.ME);
            });
    goOn(id);
    return returned;
  }

  private BroughtEntryMapper.Row takenEntry(BroughtMapper.Row row, int n) {
    BroughtEntryMapper.Row entry = entries.taken(row.id(), n);
    if (entry == null) {
      throw Refusal.conflict("nothing-taken", "This entry is not taken, or was taken back.");
    }
    if (entry.work() != null && entries.hasTwin(row.id(), n, entry.work())) {
      throw Refusal.conflict(
          "one-of-several", "Another entry was taken as the same work; take all of it back.");
    }
    return entry;
  }

  /** Takes all of it back, the first page at once; the rest goes on by itself. */
  BroughtName giveBack(Member who, UUID command, String brought) {
    int id = get(who, brought).id();
    BroughtName returned = commands.run(who, command, giveBack, () -> returning(who, brought));
    goOn(id);
    return returned;
  }

  private CommandResult<BroughtName, CommandKind.Nothing> returning(Member who, String brought) {
    BroughtMapper.Row row = mapper.lock(get(who, brought).id());
    if (row.command() == null
        || row.state().equals("returning")
        || row.state().equals("returned")) {
      throw Refusal.conflict("nothing-taken", "Nothing of it is here to be taken back.");
    }
    mapper.state(row.id(), "returning", row.ended(), null);
    CommandResult<BroughtName, CommandKind.Nothing> result =
        CommandResult.of(new BroughtName(brought), new CommandKind.Nothing())
            .changing(List.of("brought:" + brought));
    return row.folderPid() == null || !folders.isThere(row.folder())
        ? result.toldTo(Audience.ME)
        : result
            .about(Subject.Of.FOLDER, List.of(row.folderPid()))
            .toldTo(folders.audience(who, row.folderPid()));
  }
}
