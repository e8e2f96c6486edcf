package org.quietlantern.server.folder;

import java.util.List;
import java.util.UUID;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.matching.Asked;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.web.Attachment;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/groups/{group}")
class FolderController {
  private final Folders folders;
  private final FolderReading reading;
  private final Keeping keeping;
  private final Piles piles;
  private final SavedSearches searches;

  record NewFolder(String name) {}

  record Keep(String publication, String note, @Nullable String step) {}

  record SaveSearch(String name, Asked asked) {}

  FolderController(
      Folders folders,
      FolderReading reading,
      Keeping keeping,
      Piles piles,
      SavedSearches searches) {
    this.piles = piles;
    this.folders = folders;
    this.reading = reading;
    this.keeping = keeping;
    this.searches = searches;
  }

  @GetMapping("/folders")
  List<Folders.FolderLine> folders(Member me) {
    return folders.list(me);
  }

  @PostMapping("/folders")
  Folders.FolderName addFolder(
      Member me, @RequestHeader("Command-Id") UUID command, @RequestBody NewFolder body) {
    return folders.add(me, command, body.name());
  }

  @GetMapping("/folders/{folder}")
  FolderReading.FolderView folder(Member me, @PathVariable String folder) {
    return reading.view(me, folder);
  }

  @PostMapping("/folders/{folder}/items")
  Keeping.Kept keep(
      Member me,
      @RequestHeader("Command-Id") UUID command,
      @PathVariable String folder,
      @RequestBody Keep body) {
    return keeping.keep(me, command, folder, body.publication(), body.note(), body.step());
  }

  /** Keeps in the member's own pile. */
  @PostMapping("/pile/items")
  Keeping.Kept keepInPile(
      Member me, @RequestHeader("Command-Id") UUID command, @RequestBody Keep body) {
    return piles.keep(me, command, body.publication(), body.note(), body.step());
  }

  @GetMapping(
      path = "/folders/{folder}/export.ris",
      produces = "application/x-research-info-systems")
  ResponseEntity<byte[]> exportRis(Member me, @PathVariable String folder) {
    FolderReading.RisFile file = reading.ris(me, folder);
    String name = file.name().replaceAll("[^\\p{L}\\p{N}]+", "-") + ".ris";
    return Attachment.of(name, file.text());
  }

  @PostMapping("/folders/{folder}/searches")
  SavedSearch saveSearch(
      Member me,
      @RequestHeader("Command-Id") UUID command,
      @PathVariable String folder,
      @RequestBody SaveSearch body) {
    return searches.save(me, command, folder, body.name(), body.asked().toStrategy());
  }

  @GetMapping("/searches/{search}")
  SavedSearch search(Member me, @PathVariable String search) {
    return searches.get(me, search);
  }
}
