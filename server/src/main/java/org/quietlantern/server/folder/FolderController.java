package org.quietlantern.server.folder;

import java.util.List;
import java.util.UUID;
import org.quietlantern.server.group.FolderGuestsMay;
import org.quietlantern.server.group.GuestsMay;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.matching.StrategyRequest;
import org.quietlantern.server.platform.Nullable;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/groups/{group}")
class FolderController {
  private final Folders folders;
  private final FolderReading reading;
  private final Keeping keeping;
  private final FolderChanges changes;
  private final WholeFolders whole;
  private final Moving moving;
  private final ItemNotes notes;
  private final HandOrder hand;
  private final PileOver over;
  private final SavedSearches searches;

  record NewFolder(String name) {}

  record ChangedSearch(String name, String folder) {}

  record Meant(List<String> publications) {}

  record WantedRows(List<String> ids) {}

  /** {@code to}: the other folder. */
  record ToMove(List<String> publications, String to) {}

  /** {@code to}: the other folder. */
  record MergedInto(String to) {}

  record PlacedBefore(@Nullable String before) {}

  record NewNote(String was, String text) {}

  record SaveSearch(String name, StrategyRequest asked) {}

  FolderController(
      Folders folders,
      FolderReading reading,
      Keeping keeping,
      FolderChanges changes,
      WholeFolders whole,
      Moving moving,
      ItemNotes notes,
      HandOrder hand,
      PileOver over,
      SavedSearches searches) {
    this.over = over;
    this.changes = changes;
    this.whole = whole;
    this.moving = moving;
    this.notes = notes;
    this.hand = hand;
    this.folders = folders;
    this.reading = reading;
    this.keeping = keeping;
    this.searches = searches;
  }

  /** Folders of the group, and the pile of the member. */
  @GetMapping("/folders")
  @FolderGuestsMay
  List<Folders.FolderLine> folders(Member me) {
    return folders.list(me);
  }

  /** Makes a folder. */
  @PostMapping("/folders")
  Folders.FolderName addFolder(
      Member me, @RequestHeader("Command-Id") UUID command, @RequestBody NewFolder body) {
    return folders.add(me, command, body.name());
  }

  /** Names a folder, says what it is for, and puts it into another one. */
  @PutMapping("/folders/{folder}")
  Folders.FolderName changeFolder(
      Member me,
      @RequestHeader("Command-Id") UUID command,
      @PathVariable String folder,
      @RequestBody FolderChanges.FolderWanted body) {
    return changes.change(me, command, folder, body);
  }

  /** Ends a folder with all in it; it can be brought back. */
  @DeleteMapping("/folders/{folder}")
  Folders.FolderName endFolder(
      Member me, @RequestHeader("Command-Id") UUID command, @PathVariable String folder) {
    return changes.end(me, command, folder);
  }

  /** Puts everything of a folder into another one; the first is no more. */
  @PostMapping("/folders/{folder}/merged")
  WholeFolders.Merged merge(
      Member me,
      @RequestHeader("Command-Id") UUID command,
      @PathVariable String folder,
      @RequestBody MergedInto body) {
    return whole.merge(me, command, folder, body.to());
  }

  /** Makes another folder with the same publications and what was said of them. */
  @PostMapping("/folders/{folder}/copies")
  Folders.FolderName copyFolder(
      Member me,
      @RequestHeader("Command-Id") UUID command,
      @PathVariable String folder,
      @RequestBody NewFolder body) {
    return whole.copy(me, command, folder, body.name());
  }

  /**
   * A folder with all ids and the first rows; {@code folder-order}: {@code kept}, {@code hand},
   * {@code who}, {@code title}, {@code published} or {@code cited}, with {@code -} in front the
   * other way round.
   */
  @GetMapping("/folders/{folder}")
  @FolderGuestsMay
  FolderReading.FolderView folder(
      Member me,
      @PathVariable String folder,
      @RequestParam(name = "folder-order", defaultValue = "kept") String order) {
    return reading.view(me, folder, order);
  }

  /** The searches that are saved in a folder. */
  @GetMapping("/folders/{folder}/searches")
  List<SavedSearch> searches(Member me, @PathVariable String folder) {
    return reading.searches(me, folder);
  }

  /** How many each of them finds now. */
  @GetMapping("/folders/{folder}/searches/counts")
  List<FolderReading.FoundNow> foundNow(Member me, @PathVariable String folder) {
    return reading.foundNow(me, folder);
  }

  /** Rows of a folder, by ids. */
  @PostMapping("/folders/{folder}/rows")
  @GuestsMay
  @FolderGuestsMay
  List<FolderReading.FolderItem> rows(
      Member me, @PathVariable String folder, @RequestBody WantedRows body) {
    return reading.rows(me, folder, body.ids());
  }

  /** Keeps one publication or several in a folder, as one act. */
  @PostMapping("/folders/{folder}/items")
  KeepResult keep(
      Member me,
      @RequestHeader("Command-Id") UUID command,
      @PathVariable String folder,
      @RequestBody Keeping.ToKeep body) {
    return keeping.keep(me, command, folder, body);
  }

  /** Keeps in the member's own pile. */
  @PostMapping("/pile/items")
  KeepResult keepInPile(
      Member me, @RequestHeader("Command-Id") UUID command, @RequestBody Keeping.ToKeep body) {
    return keeping.keepInPile(me, command, body);
  }

  /** Turns the member's pile over to the group, as a new folder. */
  @PostMapping("/pile/turned-over")
  PileOver.TurnedOver turnOver(
      Member me, @RequestHeader("Command-Id") UUID command, @RequestBody NewFolder body) {
    return over.turnOver(me, command, body.name());
  }

  /** Takes publications out of a folder, whoever kept them. */
  @DeleteMapping("/folders/{folder}/items")
  FolderChanges.TakenOut takeOut(
      Member me,
      @RequestHeader("Command-Id") UUID command,
      @PathVariable String folder,
      @RequestBody Meant body) {
    return changes.takeOut(me, command, folder, body.publications());
  }

  /** Moves publications into another folder, with what was said of them. */
  @PostMapping("/folders/{folder}/items/moved")
  Moving.Moved move(
      Member me,
      @RequestHeader("Command-Id") UUID command,
      @PathVariable String folder,
      @RequestBody ToMove body) {
    return moving.move(me, command, folder, body.to(), body.publications());
  }

  /** Puts publications into another folder, too, with what was said of them. */
  @PostMapping("/folders/{folder}/items/copied")
  Moving.Moved copy(
      Member me,
      @RequestHeader("Command-Id") UUID command,
      @PathVariable String folder,
      @RequestBody ToMove body) {
    return moving.copy(me, command, folder, body.to(), body.publications());
  }

  /** Puts a publication before another one in the order by hand, or at the end without one. */
  @PutMapping("/folders/{folder}/items/{publication}/place")
  HandOrder.Placed place(
      Member me,
      @RequestHeader("Command-Id") UUID command,
      @PathVariable String folder,
      @PathVariable String publication,
      @RequestBody PlacedBefore body) {
    return hand.place(me, command, folder, publication, body.before());
  }

  /** Writes anew what the member said when keeping; {@code was}: what it was. */
  @PutMapping("/folders/{folder}/items/{publication}/note")
  ItemNotes.NoteGiven note(
      Member me,
      @RequestHeader("Command-Id") UUID command,
      @PathVariable String folder,
      @PathVariable String publication,
      @RequestBody NewNote body) {
    return notes.change(me, command, folder, publication, body.was(), body.text());
  }

  /** Saves a search in a folder, with its count of now. */
  @PostMapping("/folders/{folder}/searches")
  SavedSearch saveSearch(
      Member me,
      @RequestHeader("Command-Id") UUID command,
      @PathVariable String folder,
      @RequestBody SaveSearch body) {
    return searches.save(me, command, folder, body.name(), body.asked().toStrategy());
  }

  /** Names a saved search and puts it into a folder. */
  @PutMapping("/searches/{search}")
  SavedSearch changeSearch(
      Member me,
      @RequestHeader("Command-Id") UUID command,
      @PathVariable String search,
      @RequestBody ChangedSearch body) {
    return changes.changeSearch(me, command, search, body.name(), body.folder());
  }

  /** Saves what a saved search is now once more, under a name in a folder. */
  @PostMapping("/searches/{search}/copies")
  SavedSearch copySearch(
      Member me,
      @RequestHeader("Command-Id") UUID command,
      @PathVariable String search,
      @RequestBody ChangedSearch body) {
    return searches.copy(me, command, search, body.folder(), body.name());
  }

  /** One saved search, as its last revision has it. */
  @GetMapping("/searches/{search}")
  SavedSearch search(Member me, @PathVariable String search) {
    return searches.get(me, search);
  }
}
