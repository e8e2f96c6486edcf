package org.quietlantern.server.folder;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.quietlantern.core.review.Mark;
import org.quietlantern.server.action.CommandKind;
import org.quietlantern.server.action.CommandKinds;
import org.quietlantern.server.action.CommandResult;
import org.quietlantern.server.action.Commands;
import org.quietlantern.server.action.Subject;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.PublicIds;
import org.quietlantern.server.platform.Refusal;
import org.quietlantern.server.review.Reviews;
import org.springframework.stereotype.Service;

/**
 * A pile is turned over to the group: all that is in it goes into a new folder, with what its owner
 * said, as one act. By that it is the verdict <i>keep</i> (rule K1); the pile stays, empty.
 */
@Service
public class PileOver implements CommandKinds {
  private final CommandKind<TurnedOver, Before> turnOver =
      new CommandKind<>("pile.turn-over", TurnedOver.class, Before.class, this::back);
  private final WholeFolderMapper mapper;
  private final FolderMapper folderMapper;
  private final AnnotationsAlong annotations;
  private final Reviews reviews;
  private final Commands commands;
  private final PublicIds ids;
  private final Calendar calendar;

  /** {@code id}, {@code name}: of the new folder. */
  public record TurnedOver(String id, String name, int publications) {}

  /** {@code event}: the verdict that it was. */
  record One(int item, int publication, @Nullable Double place, int event) {}

  /** Row numbers. */
  record Before(int pile, int folder, List<One> all, @Nullable AnnotationsAlong.Along along) {}

  PileOver(
      WholeFolderMapper mapper,
      FolderMapper folderMapper,
      AnnotationsAlong annotations,
      Reviews reviews,
      Commands commands,
      PublicIds ids,
      Calendar calendar) {
    this.mapper = mapper;
    this.folderMapper = folderMapper;
    this.annotations = annotations;
    this.reviews = reviews;
    this.commands = commands;
    this.ids = ids;
    this.calendar = calendar;
  }

  /** {@code name}: of the folder that is made; one of that name is refused. */
  public TurnedOver turnOver(Member who, UUID command, @Nullable String name) {
    String clean = Folders.cleaned(name);
    return commands.run(who, command, turnOver, () -> turned(who, command, clean));
  }

  private CommandResult<TurnedOver, Before> turned(Member who, UUID command, String name) {
    Integer pile = folderMapper.pile(who.group(), who.id());
    List<FolderMapper.Item> items = pile == null ? List.of() : folderMapper.items(pile);
    if (items.isEmpty()) {
      throw Refusal.conflict("pile-empty", "There is nothing in your pile.");
    }
    String pid = ids.next();
    Integer folder = folderMapper.add(pid, who.group(), name, calendar.now());
    if (folder == null) {
      throw Folders.nameTaken(name);
    }
    List<One> all = new ArrayList<>();
    for (FolderMapper.Item item : items) {
      int event = reviews.mark(who, command, item.publication(), Mark.KEEP, "");
      all.add(new One(item.id(), item.publication(), item.place(), event));
    }
    mapper.returnItems(
        items.stream().map(FolderMapper.Item::id).toArray(Integer[]::new),
        items.stream().map(FolderMapper.Item::place).toArray(Double[]::new),
        pile,
        folder);
    AnnotationsAlong.Along along =
        annotations.went(
            pile, folder, items.stream().map(FolderMapper.Item::publication).toList(), true);
    List<String> works =
        FolderMapper.Item.once(items).stream().map(FolderMapper.Item::pid).toList();
    List<String> keeps =
        items.stream()
            .flatMap(
                item ->
                    List.of(
                        "item:" + pile + ":" + item.publication(),
                        Items.keep(pile, item.publication(), who.id()))
                        .stream())
            .distinct()
            .toList();
    return CommandResult.of(
            new TurnedOver(pid, name, works.size()), new Before(pile, folder, all, along))
        .changing(keeps)
        .changing(Subject.Of.FOLDER, pid)
        .about(Subject.Of.PUBLICATION, works);
  }

  /**
   * What still lies in the folder goes back; the folder stays where something else came into it.
   */
  private String back(Member who, UUID command, Before before) {
    before.all().forEach(one -> reviews.takeBack(who, command, one.publication(), one.event()));
    int returned =
        mapper.returnItems(
            before.all().stream().map(One::item).toArray(Integer[]::new),
            before.all().stream().map(One::place).toArray(Double[]::new),
            before.folder(),
            before.pile());
    annotations.back(before.along(), before.folder(), before.pile());
    if (folderMapper.isEmpty(before.folder())) {
      folderMapper.remove(before.folder());
    }
    int elsewhere = before.all().size() - returned;
    return elsewhere == 0 ? "" : elsewhere + " of them went elsewhere since, and stay there.";
  }

  @Override
  public List<CommandKind<?, ?>> kinds() {
    return List.of(turnOver);
  }
}
