package org.quietlantern.server.folder;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.quietlantern.core.activity.Aspect;
import org.quietlantern.server.action.CommandKind;
import org.quietlantern.server.action.CommandKinds;
import org.quietlantern.server.action.CommandResult;
import org.quietlantern.server.action.Commands;
import org.quietlantern.server.action.Subject;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Refusal;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Whose a folder is: the group's, or of those who are named (rule R4). */
@Service
public class FolderRights implements CommandKinds {
  private static final Set<String> OPEN_TO = Set.of("group", "named");
  private final CommandKind<Folders.FolderName, Before> set =
      new CommandKind<>("folder.rights", Folders.FolderName.class, Before.class, this::back);
  private final RightsMapper mapper;
  private final FolderMapper folderMapper;
  private final Folders folders;
  private final Groups groups;
  private final Commands commands;

  /** Somebody who is named, by the public id of the membership. */
  public record NamedWanted(String member, String may) {}

  /**
   * Whose a folder shall be.
   *
   * @param openTo {@code group} or {@code named}; absent: as the folder around it
   * @param groupMay what members may who are not named, where it is open to the group
   * @param version as the reader saw it
   */
  public record RightsWanted(
      @Nullable String openTo, String groupMay, List<NamedWanted> named, int version) {}

  /** {@code onlyFolders}: somebody from outside the group. */
  public record NamedShown(
      String member, String name, String role, boolean onlyFolders, String may) {}

  /**
   * Whose a folder is.
   *
   * @param as name of the folder around it whose rights count, where it has none of its own
   * @param may what the reader may
   * @param closed whether it is for some of the group only
   * @param fallen whether only coordinators are left who may change it
   */
  public record RightsView(
      @Nullable String openTo,
      @Nullable String as,
      String groupMay,
      List<NamedShown> named,
      String may,
      boolean closed,
      boolean fallen,
      int version) {}

  /** What was set; row numbers. An undo puts the version back: it is then what they saw. */
  record Before(
      int folder,
      @Nullable String openTo,
      String groupMay,
      List<RightsMapper.Row> named,
      int version) {}

  FolderRights(
      RightsMapper mapper,
      FolderMapper folderMapper,
      Folders folders,
      Groups groups,
      Commands commands) {
    this.mapper = mapper;
    this.folderMapper = folderMapper;
    this.folders = folders;
    this.groups = groups;
    this.commands = commands;
  }

  /** For whoever may read it. */
  @Transactional(readOnly = true)
  public RightsView of(Member who, String pid) {
    FolderMapper.Folder folder = folders.get(who, pid);
    RightsMapper.Set own = mapper.get(folder.id());
    Integer above = own.openTo() == null ? mapper.settledAbove(folder.id()) : null;
    int settled = above == null ? folder.id() : above;
    RightsMapper.Set counts = above == null ? own : mapper.get(above);
    List<NamedShown> named = shown(who, mapper.named(settled));
    FolderMapper.Folder around = above == null ? null : folderMapper.byId(who.id(), above);
    return new RightsView(
        own.openTo(),
        around == null ? null : around.name(),
        counts.groupMay(),
        named,
        folder.may(),
        folder.closed(),
        "named".equals(counts.openTo()) && named.stream().noneMatch(FolderRights::edits),
        own.version());
  }

  private static boolean edits(NamedShown one) {
    return one.may().equals(FolderRight.EDIT.word()) && !one.role().equals("guest");
  }

  /** Without those who left. */
  private List<NamedShown> shown(Member who, List<RightsMapper.Row> rows) {
    Map<Integer, Member> members =
        groups.members(who.group()).stream()
            .collect(Collectors.toMap(Member::id, Function.identity()));
    return rows.stream()
        .filter(row -> members.containsKey(row.membership()))
        .map(
            row -> {
              Member member = members.get(row.membership());
              return new NamedShown(
                  member.pid(), member.name(), member.role(), member.onlyFolders(), row.may());
            })
        .toList();
  }

  /** Says whose a folder is. Whoever does stays somebody who may change it. */
  public Folders.FolderName set(Member who, UUID command, String pid, RightsWanted wanted) {
    return commands.run(who, command, set, () -> isSet(who, pid, wanted));
  }

  private CommandResult<Folders.FolderName, Before> isSet(
      Member who, String pid, RightsWanted wanted) {
    FolderMapper.Folder folder = folders.toEdit(who, pid);
    if (folder.pile()) {
      throw Refusal.unusable("pile", "Your pile is yours alone.");
    }
    RightsMapper.Set was = mapper.get(folder.id());
    if (was.version() != wanted.version()) {
      throw Refusal.conflict(
          "changed-since", "Whose the folder is was changed meanwhile; look at it again.");
    }
    if (wanted.openTo() != null && !OPEN_TO.contains(wanted.openTo())) {
      throw Refusal.unusable("openTo", "A folder is open to the group, or to those named.");
    }
    Before before =
        new Before(
            folder.id(), was.openTo(), was.groupMay(), mapper.named(folder.id()), was.version());
    List<RightsMapper.Row> named =
        wanted.openTo() == null
            ? List.of()
            : wanted.named().stream().map(one -> row(who, one)).toList();
    String groupMay = wanted.openTo() == null ? FolderRight.EDIT.word() : right(wanted.groupMay());
    put(who, folder, new Before(folder.id(), wanted.openTo(), groupMay, named, was.version() + 1));
    if (!Optional.ofNullable(folderMapper.byId(who.id(), folder.id()))
        .filter(now -> now.allows(FolderRight.EDIT))
        .isPresent()) {
      throw Refusal.unusable(
          "yourself",
          "You would not be able to change the folder any more; somebody else can do that.");
    }
    return CommandResult.of(new Folders.FolderName(pid, folder.name()), before)
        .changing(Subject.Of.FOLDER, pid)
        .differing(Aspect.SEEN_BY, seenBy(folder, was.openTo()), seenBy(folder, wanted.openTo()))
        .differing(Aspect.GROUP_MAY, was.groupMay(), groupMay);
  }

  private String seenBy(FolderMapper.Folder folder, @Nullable String openTo) {
    boolean asAround = openTo == null && folderMapper.place(folder.id()).parent() != null;
    return asAround
        ? "whoever sees the folder around it"
        : "named".equals(openTo) ? "those who are named" : "the group";
  }

  private RightsMapper.Row row(Member who, NamedWanted one) {
    Member member = groups.member(who.group(), one.member());
    String may = right(one.may());
    if (!member.mayWrite() && may.equals(FolderRight.EDIT.word())) {
      throw Refusal.unusable("guest", member.name() + " is a guest, who may read or remark.");
    }
    return new RightsMapper.Row(member.id(), may);
  }

  private static String right(@Nullable String word) {
    return FolderRight.read(word)
        .orElseThrow(() -> Refusal.unusable("may", "One may read, remark or edit."))
        .word();
  }

  private void put(Member who, FolderMapper.Folder folder, Before as) {
    if (mapper.set(folder.id(), as.openTo(), as.groupMay(), as.version()) == 0) {
      throw Folders.nameTaken(folder.name());
    }
    mapper.forget(folder.id());
    as.named().forEach(row -> mapper.name(folder.id(), row.membership(), row.may()));
    folders.refuseUnseen(who.group());
  }

  private String back(Member who, UUID command, Before before) {
    FolderMapper.Folder folder = folderMapper.byId(who.id(), before.folder());
    put(who, folder, before);
    return "";
  }

  /**
   * Names somebody who was asked to a folder (row number); as a part of coming in. A folder that
   * was as the one around it is set apart by this, and for the others as it was.
   */
  @Transactional(propagation = Propagation.MANDATORY)
  public void name(int folder, Member member, String may) {
    RightsMapper.Set own = mapper.get(folder);
    if (own.openTo() == null) {
      Integer above = mapper.settledAbove(folder);
      RightsMapper.Set as =
          above == null
              ? new RightsMapper.Set("group", FolderRight.EDIT.word(), 0)
              : mapper.get(above);
      mapper.set(folder, as.openTo(), as.groupMay(), own.version() + 1);
      if (above != null) {
        mapper.named(above).forEach(row -> mapper.name(folder, row.membership(), row.may()));
      }
    }
    mapper.name(folder, member.id(), may);
  }

  /** Whoever was asked in anew is named nowhere until somebody does; as a part of coming in. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void begin(Member member) {
    mapper.forgetMember(member.id());
  }

  @Override
  public List<CommandKind<?, ?>> kinds() {
    return List.of(set);
  }
}
