package org.quietlantern.server.folder;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.quietlantern.core.review.Mark;
import org.quietlantern.server.catalogue.Stored;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.review.Reviews;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Publications in folders: each once, with everybody's reasons. Parts of commands. */
@Service
@Transactional(propagation = Propagation.MANDATORY)
public class Items {
  private final FolderMapper mapper;
  private final Reviews reviews;
  private final Calendar calendar;

  /**
   * What keeping came to.
   *
   * @param already it was in the folder before
   * @param keeper who had kept it first
   * @param reason row number of the reason added; none if nothing was added
   */
  public record Placed(
      String folderId,
      String folder,
      boolean already,
      String keeper,
      List<String> elsewhere,
      @Nullable Integer reason) {}

  Items(FolderMapper mapper, Reviews reviews, Calendar calendar) {
    this.mapper = mapper;
    this.reviews = reviews;
    this.calendar = calendar;
  }

  /** Keeps a publication in a folder of the group (row number); that is the verdict <i>keep</i>. */
  public Placed place(
      Member who, UUID command, int folderId, Stored stored, String note, @Nullable Integer step) {
    Placed placed = put(who, folderId, stored, note, step);
    reviews.mark(who, command, stored.id(), Mark.KEEP, note);
    return placed;
  }

  /** Puts a publication into a folder without saying anything of it. */
  Placed put(Member who, int folderId, Stored stored, String note, @Nullable Integer step) {
    FolderMapper.Folder folder = mapper.byId(who.group(), who.id(), folderId);
    Added added = add(who, folderId, stored, note, step);
    List<String> elsewhere =
        mapper.keptIn(who.group(), who.id(), new Integer[] {stored.id()}).stream()
            .filter(k -> !k.pid().equals(folder.pid()))
            .map(FolderMapper.KeptIn::name)
            .toList();
    return new Placed(
        folder.pid(),
        folder.name(),
        added.already(),
        mapper.keeper(folder.id(), stored.id()),
        elsewhere,
        added.reason());
  }

  private record Added(boolean already, @Nullable Integer reason) {}

  private Added add(Member who, int folder, Stored stored, String note, @Nullable Integer step) {
    Instant now = calendar.now();
    Integer held = mapper.findItem(folder, stored.id());
    Integer made = held == null ? mapper.addItem(folder, stored.id(), now) : null;
    int item = held != null ? held : made != null ? made : mapper.findItem(folder, stored.id());
    boolean saidBefore = mapper.gaveReason(item, who.id(), note);
    boolean adds = !saidBefore && (made != null || !note.isEmpty() || !mapper.kept(item, who.id()));
    Integer reason = adds ? mapper.addReason(item, who.id(), step, note, now) : null;
    return new Added(made == null, reason);
  }

  /** Keeps it as it was before a change that is taken back; says nothing new about it. */
  public void putBack(Member who, int folder, Stored stored, String note) {
    add(who, folder, stored, note, null);
  }

  /** Takes one reason back, and the item with its last reason. Answers what stays and why. */
  public String removeReason(Member who, int folder, int publication, int reason) {
    mapper.removeReason(reason);
    return removeItem(who, folder, publication);
  }

  /**
   * Takes back that a member kept something. It leaves the folder unless somebody else kept it too.
   *
   * @return a sentence if it stays, else empty
   */
  public String withdraw(Member who, int folder, int publication) {
    mapper.removeReasons(folder, publication, who.id());
    return removeItem(who, folder, publication);
  }

  private String removeItem(Member who, int folder, int publication) {
    if (mapper.removeItem(folder, publication) > 0) {
      return "";
    }
    String keeper = mapper.keeper(folder, publication);
    return keeper == null || keeper.equals(who.name())
        ? ""
        : "It stays in the folder: " + keeper + " kept it too.";
  }
}
