package org.quietlantern.server.folder;

import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
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
import org.quietlantern.server.platform.Json;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Page;
import org.quietlantern.server.platform.Refusal;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Folders and searches that ended, and what was taken out of folders: for thirty days anybody who
 * may change the place brings it back whole, whoever put it there.
 */
@Service
public class Bin implements CommandKinds {
  static final Duration LIES = Duration.ofDays(30);
  private static final int A_PAGE = 100;
  private final BinMapper mapper;
  private final FolderMapper folderMapper;
  private final SavedSearchMapper searches;
  private final Folders folders;
  private final FolderChanges changes;
  private final SavedSearches saved;
  private final Items items;
  private final Publications publications;
  private final Commands commands;
  private final Json json;
  private final Calendar calendar;

  private final CommandKind<Ended, BroughtBack> bringBack =
      CommandKind.of("bin.back", Ended.class, BroughtBack.class, this::endAgain);

  private final CommandKind<PutBack, ItemsBack> putBack =
      CommandKind.of("item.put-back", PutBack.class, ItemsBack.class, this::takeAgain);

  /** A publication by title. */
  public record TakenWork(String id, String title) {}

  /**
   * Something in the bin.
   *
   * @param kind {@code folder}, {@code search} or {@code publications}
   * @param id for publications of the act by which they were taken out
   * @param folder the one that it comes back into; absent for a folder
   * @param publications how many they are; 0 for a folder or search
   * @param some the first of them
   * @param by who put it there; absent for a former member
   * @param until how long it can be brought back from here
   * @param mayBringBack whether the reader may
   */
  public record BinLine(
      String kind,
      String id,
      String name,
      @Nullable Folders.FolderName folder,
      int publications,
      List<TakenWork> some,
      @Nullable String by,
      Instant at,
      Instant until,
      boolean mayBringBack) {}

  /** The last first; {@code next}: from where the next page begins; absent on the last. */
  public record BinPage(List<BinLine> lines, @Nullable Integer next) {}

  /** Something that ended; {@code kind} is {@code folder} or {@code search}. */
  public record Ended(String kind, String id, String name, Instant at) {}

  /** How many publications are in a folder again. */
  public record PutBack(String folder, int publications) {}

  /** {@code folder}: its row number, for a folder. */
  record BroughtBack(String id, @Nullable Integer folder, Instant ended) {}

  record ItemsBack(List<Items.Returned> returned) {}

  Bin(
      BinMapper mapper,
      FolderMapper folderMapper,
      SavedSearchMapper searches,
      Folders folders,
      FolderChanges changes,
      SavedSearches saved,
      Items items,
      Publications publications,
      Commands commands,
      Json json,
      Calendar calendar) {
    this.mapper = mapper;
    this.folderMapper = folderMapper;
    this.searches = searches;
    this.folders = folders;
    this.changes = changes;
    this.saved = saved;
    this.items = items;
    this.publications = publications;
    this.commands = commands;
    this.json = json;
    this.calendar = calendar;
  }

  /** What lies in it, from a line on. */
  @Transactional(readOnly = true)
  public BinPage page(Member who, int from) {
    int first = Math.max(from, 0);
    Page<BinMapper.Lying> page =
        Page.of(mapper.lying(who.group(), who.id(), since(), first, A_PAGE + 1), A_PAGE);
    Map<String, StoredPublication> works =
        publications.byAskedPid(
            Viewer.of(who),
            page.rows().stream().flatMap(one -> Arrays.stream(one.some())).toList());
    return new BinPage(
        page.rows().stream().map(one -> line(one, works)).toList(),
        page.more() ? first + A_PAGE : null);
  }

  private static BinLine line(BinMapper.Lying one, Map<String, StoredPublication> works) {
    return new BinLine(
        one.kind(),
        one.id(),
        one.name(),
        one.folder() == null ? null : new Folders.FolderName(one.folder(), one.folderName()),
        one.publications(),
        titled(List.of(one.some()), works),
        one.by(),
        one.at(),
        one.at().plus(LIES),
        FolderRight.read(one.may()).orElseThrow().allows(FolderRight.EDIT));
  }

  private static List<TakenWork> titled(List<String> ids, Map<String, StoredPublication> works) {
    return ids.stream()
        .map(works::get)
        .filter(Objects::nonNull)
        .map(work -> new TakenWork(work.pid(), work.publication().title()))
        .distinct()
        .toList();
  }

  /** Which publications of an act are not in their folder again. */
  @Transactional(readOnly = true)
  public List<TakenWork> takenOut(Member who, String act) {
    List<String> out = out(who, find(who, act)).stream().map(BinMapper.Out::pid).toList();
    return titled(out, publications.byAskedPid(Viewer.of(who), out));
  }

  /** Brings a folder or a search back that ended; a search comes back without its alert. */
  public Ended bringBack(Member who, UUID command, String id) {
    return commands.run(who, command, bringBack, () -> broughtBack(who, id));
  }

  private CommandResult<Ended, BroughtBack> broughtBack(Member who, String id) {
    BinMapper.Lying lying = find(who, id);
    Ended ended = new Ended(lying.kind(), id, lying.name(), lying.at());
    if (ended.kind().equals("search")) {
      saved.bringBack(who, id);
      return CommandResult.of(ended, new BroughtBack(id, null, ended.at()))
          .changing(Subject.Of.SEARCH, id);
    }
    if (!ended.kind().equals("folder")) {
      throw Refusal.unknown();
    }
    folders.requireEdit(who, lying.row());
    changes.restoreFolder(who, lying.row());
    return CommandResult.of(ended, new BroughtBack(id, lying.row(), ended.at()))
        .changing(Subject.Of.FOLDER, id);
  }

  private String endAgain(BroughtBack before) {
    if (before.folder() == null) {
      searches.end(before.id(), before.ended());
    } else {
      folderMapper.end(before.folder(), before.ended());
    }
    return "";
  }

  /**
   * Puts publications back into the folder that they were taken out of, with dates, reasons and
   * their place.
   *
   * @param ids which of the act; none: all that are not there again
   */
  public PutBack putBack(Member who, UUID command, String act, @Nullable Collection<String> ids) {
    return commands.run(who, command, putBack, () -> returned(who, act, ids));
  }

  private CommandResult<PutBack, ItemsBack> returned(
      Member who, String act, @Nullable Collection<String> ids) {
    BinMapper.Lying lying = find(who, act);
    folders.requireEdit(who, lying.row());
    Set<String> wanted = ids == null ? Set.of() : Set.copyOf(ids);
    List<BinMapper.Out> out =
        out(who, lying).stream().filter(one -> ids == null || wanted.contains(one.pid())).toList();
    if (out.isEmpty()) {
      throw Refusal.conflict("changed-since", "It does not lie in the bin any more.");
    }
    List<Items.Taken> taken =
        json.read(mapper.before(UUID.fromString(act)), FolderChanges.ItemsBefore.class).taken();
    List<Items.Returned> returned =
        out.stream().map(one -> items.putBack(taken.get(one.nth() - 1))).toList();
    List<String> works = out.stream().map(BinMapper.Out::pid).distinct().toList();
    FolderMapper.Folder folder = folderMapper.byId(who.id(), lying.row());
    return CommandResult.of(new PutBack(folder.name(), works.size()), new ItemsBack(returned))
        .changing(
            out.stream()
                .flatMap(
                    one ->
                        Stream.concat(
                            Stream.of("item:" + folder.id() + ":" + one.publication()),
                            Items.changes(
                                folder.id(), one.publication(), List.of(taken.get(one.nth() - 1)))
                                .stream()))
                .distinct()
                .toList())
        .about(Subject.Of.FOLDER, List.of(folder.pid()))
        .about(Subject.Of.PUBLICATION, works)
        .toldTo(folder.audience());
  }

  private String takeAgain(ItemsBack before) {
    before.returned().forEach(items::takeAgain);
    return "";
  }

  private BinMapper.Lying find(Member who, String id) {
    return Optional.ofNullable(mapper.find(who.group(), who.id(), since(), id))
        .orElseThrow(Refusal::unknown);
  }

  private List<BinMapper.Out> out(Member who, BinMapper.Lying lying) {
    return lying.kind().equals("publications")
        ? mapper.out(who.group(), who.id(), since(), UUID.fromString(lying.id()))
        : List.of();
  }

  private Instant since() {
    return calendar.now().minus(LIES);
  }

  @Override
  public List<CommandKind<?, ?>> kinds() {
    return List.of(bringBack, putBack);
  }
}
