package org.quietlantern.server.folder;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.search.Ordering;
import org.quietlantern.server.action.CommandKind;
import org.quietlantern.server.action.CommandKinds;
import org.quietlantern.server.action.CommandResult;
import org.quietlantern.server.action.Commands;
import org.quietlantern.server.action.Subject;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.matching.Answer;
import org.quietlantern.server.matching.Matching;
import org.quietlantern.server.matching.StrategyBody;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Json;
import org.quietlantern.server.platform.PublicIds;
import org.quietlantern.server.platform.Refusal;
import org.quietlantern.server.platform.sql.Like;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Named strategies in folders. */
@Service
public class SavedSearches implements CommandKinds {
  private static final int LONGEST_NAME = 120;
  private final SavedSearchMapper mapper;
  private final Folders folders;
  private final Groups groups;
  private final Matching matching;
  private final Commands commands;
  private final Json json;
  private final PublicIds ids;
  private final Calendar calendar;

  private final CommandKind<SavedSearch, Before> save =
      new CommandKind<>("search.save", SavedSearch.class, Before.class, this::takeBack);
  private final CommandKind<SavedSearch, Before> copy =
      new CommandKind<>("search.copy", SavedSearch.class, Before.class, this::takeBack);

  /** The revision in force of a saved search, for those who watch it. Row numbers. */
  public record Watched(int revision, int folder, String pid, String name, Strategy strategy) {}

  record Before(String search) {}

  SavedSearches(
      SavedSearchMapper mapper,
      Folders folders,
      Groups groups,
      Matching matching,
      Commands commands,
      Json json,
      PublicIds ids,
      Calendar calendar) {
    this.mapper = mapper;
    this.folders = folders;
    this.groups = groups;
    this.matching = matching;
    this.commands = commands;
    this.json = json;
    this.ids = ids;
    this.calendar = calendar;
  }

  /** Saves a strategy with its count of this moment. */
  public SavedSearch save(Member who, UUID command, String folder, String name, Strategy strategy) {
    return commands.run(
        who,
        command,
        save,
        () -> found(who, name, strategy),
        found -> {
          String pid = add(who, folder, found);
          return CommandResult.of(get(who, pid), new Before(pid)).changing(Subject.Of.SEARCH, pid);
        });
  }

  /** Saves what a saved search is now under another name, or in another folder. */
  public SavedSearch copy(Member who, UUID command, String of, String folder, String name) {
    return commands.run(
        who,
        command,
        copy,
        () -> found(who, name, watched(who, of).strategy()),
        found -> {
          String pid = add(who, folder, found);
          return CommandResult.of(get(who, pid), new Before(pid))
              .changing(Subject.Of.SEARCH, pid)
              .about(Subject.Of.SEARCH, List.of(of));
        });
  }

  private Found found(Member who, String name, Strategy strategy) {
    Answer answer = matching.search(who, strategy, Ordering.RELEVANCE, 0);
    return new Found(name, strategy, answer.count(), answer.asOf());
  }

  /** A name as it is kept; refused where it is empty or too long. */
  static String cleaned(String name) {
    String clean = name == null ? "" : name.strip();
    if (clean.isEmpty() || clean.length() > LONGEST_NAME) {
      throw Refusal.unusable(
          "search-name", "A saved search needs a name of at most " + LONGEST_NAME + " characters.");
    }
    return clean;
  }

  static Refusal nameTaken(String name) {
    return Refusal.conflict(
        "search-there", "The folder has a saved search named “" + name + "” already.");
  }

  /** A strategy to save, with its count in a state of the catalogue. */
  public record Found(String name, Strategy strategy, int count, String asOf) {}

  /** Saves a search as a part of a command; answers its public id. */
  @Transactional(propagation = Propagation.MANDATORY)
  public String add(Member who, String folder, Found found) {
    String name = cleaned(found.name());
    String pid = ids.next();
    Instant now = calendar.now();
    Integer search = mapper.add(pid, folders.idToEdit(who, folder), name, now);
    if (search == null) {
      throw nameTaken(name);
    }
    String body = json.write(StrategyBody.of(found.strategy()));
    mapper.addRevision(search, body, found.count(), found.asOf(), who.id(), now);
    folders.refuseUnseen(who.group());
    return pid;
  }

  /** Takes back what {@link #add} saved, as a part of an undo. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void takeBack(String pid) {
    mapper.remove(pid);
  }

  @Transactional(readOnly = true)
  public List<SavedSearch> inFolder(Member who, int folder) {
    Map<Integer, String> names = groups.names(who.group());
    return mapper.inFolder(who.group(), folder).stream().map(r -> read(r, names)).toList();
  }

  /** Saved and changed last, in all folders of the group. */
  @Transactional(readOnly = true)
  public List<SavedSearch> latest(Member who, String words, int most) {
    Map<Integer, String> names = groups.names(who.group());
    return mapper.latest(who.group(), Like.part(words), most).stream()
        .map(r -> read(r, names))
        .toList();
  }

  @Transactional(readOnly = true)
  public SavedSearch get(Member who, String pid) {
    return read(row(who, pid), groups.names(who.group()));
  }

  @Transactional(readOnly = true)
  public Watched watched(Member who, String pid) {
    SavedSearchMapper.Row row = row(who, pid);
    Strategy strategy = json.read(row.strategy(), StrategyBody.class).strategy();
    return new Watched(row.revision(), row.folder(), row.pid(), row.name(), strategy);
  }

  /** Refuses whoever may not change the folder in which it stands. */
  @Transactional(readOnly = true)
  public void requireEdit(Member who, String pid) {
    folders.toEdit(who, row(who, pid).folderPid());
  }

  private SavedSearchMapper.Row row(Member who, String pid) {
    return Optional.ofNullable(mapper.find(who.group(), pid)).orElseThrow(Refusal::unknown);
  }

  private SavedSearch read(SavedSearchMapper.Row row, Map<Integer, String> names) {
    return new SavedSearch(
        row.pid(),
        row.name(),
        new Folders.FolderName(row.folderPid(), row.folderName()),
        row.n(),
        json.read(row.strategy(), StrategyBody.class),
        row.count(),
        names.getOrDefault(row.membership(), "a former member"),
        row.at(),
        row.documented(),
        row.alertPid());
  }

  /** Names of those saved searches of the group that are there, by public id. */
  @Transactional(readOnly = true)
  public Map<String, String> names(Member who, Collection<String> searches) {
    return mapper.names(who.group(), searches.toArray(String[]::new)).stream()
        .collect(Collectors.toMap(SavedSearchMapper.Named::pid, SavedSearchMapper.Named::name));
  }

  /** Public id of the group that a saved search belongs to. */
  @Transactional(readOnly = true)
  public Optional<String> groupOf(String pid) {
    return Optional.ofNullable(mapper.groupOf(pid));
  }

  /** Ends a saved search, as a part of a command; it can be brought back. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void end(String pid) {
    mapper.end(pid, calendar.now());
  }

  /** Brings a saved search back, as a part of a command. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void bringBack(Member who, String pid) {
    folders.requireThere(mapper.folderOf(pid));
    if (mapper.end(pid, null) == 0) {
      throw Refusal.conflict("search-there", "The folder has a saved search of that name again.");
    }
    folders.refuseUnseen(who.group());
  }

  @Override
  public List<CommandKind<?, ?>> kinds() {
    return List.of(save, copy);
  }

  private String takeBack(Member who, UUID command, Before before) {
    takeBack(before.search());
    return "";
  }
}
