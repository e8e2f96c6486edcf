package org.quietlantern.server.folder;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.UUID;
import org.quietlantern.server.action.CommandKind;
import org.quietlantern.server.action.CommandKinds;
import org.quietlantern.server.action.CommandResult;
import org.quietlantern.server.action.Commands;
import org.quietlantern.server.action.Subject;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Refusal;
import org.springframework.stereotype.Service;

/** The order of a folder that members give it by hand, one item at a time. */
@Service
public class HandOrder implements CommandKinds {
  /** How far apart items stand when they are numbered; halved by what is put between them. */
  private static final double APART = 1 << 20;

  private static final double NEAREST = 1e-3;
  private final CommandKind<Placed, Before> place =
      CommandKind.of("item.place", Placed.class, Before.class, this::back);
  private final FolderMapper mapper;
  private final Folders folders;
  private final Commands commands;

  /** Before which publication one stands now; absent for the end. */
  public record Placed(String publication, @Nullable String before) {}

  /** {@code next}: the one that it stood before, by hand; absent for the end. */
  record Before(int folder, String publication, @Nullable String next) {}

  HandOrder(FolderMapper mapper, Folders folders, Commands commands) {
    this.mapper = mapper;
    this.folders = folders;
    this.commands = commands;
  }

  /** Puts one before another, or at the end without one. */
  public Placed place(
      Member who, UUID command, String pid, String publication, @Nullable String before) {
    return commands.run(
        who,
        command,
        place,
        () -> {
          FolderMapper.Folder folder = folders.toEdit(who, pid);
          String next = put(folder.id(), publication, before);
          return CommandResult.of(
                  new Placed(publication, before), new Before(folder.id(), publication, next))
              .changing(List.of("place:" + folder.id() + ":" + publication))
              .about(Subject.Of.FOLDER, List.of(pid))
              .toldTo(folder.audience());
        });
  }

  /** Answers before which it stood until now; absent for the end. */
  private @Nullable String put(int folder, String publication, @Nullable String before) {
    List<FolderMapper.Item> items = inOrder(folder);
    int at = indexOf(items, publication);
    if (at < 0 || (before != null && indexOf(items, before) < 0) || publication.equals(before)) {
      throw Refusal.conflict("changed-since", "It is not in the folder any more.");
    }
    String next = at + 1 < items.size() ? items.get(at + 1).pid() : null;
    FolderMapper.Item moved = items.remove(at);
    int to = before == null ? items.size() : indexOf(items, before);
    Double low = to == 0 ? null : items.get(to - 1).place();
    Double high = to == items.size() ? null : items.get(to).place();
    boolean isRoom =
        items.stream().allMatch(item -> item.place() != null)
            && (low == null || high == null || high - low > NEAREST);
    if (isRoom) {
      mapper.placeAt(moved.id(), between(low, high));
    } else {
      items.add(to, moved);
      number(items);
    }
    return next;
  }

  private static double between(@Nullable Double low, @Nullable Double high) {
    if (low == null) {
      return high == null ? 0 : high - APART;
    }
    return high == null ? low + APART : (low + high) / 2;
  }

  private void number(List<FolderMapper.Item> items) {
    Integer[] ids = items.stream().map(FolderMapper.Item::id).toArray(Integer[]::new);
    mapper.number(ids, APART);
  }

  /** A list of its own. */
  private List<FolderMapper.Item> inOrder(int folder) {
    List<FolderMapper.Item> items = new ArrayList<>(FolderMapper.Item.once(mapper.items(folder)));
    // What nobody has put anywhere comes first; what was kept last before the rest of it.
    items.sort(
        Comparator.comparing(
            FolderMapper.Item::place, Comparator.nullsFirst(Comparator.naturalOrder())));
    return items;
  }

  private static int indexOf(List<FolderMapper.Item> items, String publication) {
    for (int at = 0; at < items.size(); at++) {
      if (items.get(at).pid().equals(publication)) {
        return at;
      }
    }
    return -1;
  }

  private String back(Before before) {
    put(before.folder(), before.publication(), before.next());
    return "";
  }

  @Override
  public List<CommandKind<?, ?>> kinds() {
    return List.of(place);
  }
}
