package org.quietlantern.server.folder;

import java.util.UUID;
import org.quietlantern.server.group.Member;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/groups/{group}/folders/{folder}/rights")
class FolderRightsController {
  private final FolderRights rights;

  FolderRightsController(FolderRights rights) {
    this.rights = rights;
  }

  /** Whose a folder is, and who may do what in it. */
  @GetMapping
  FolderRights.RightsView of(Member me, @PathVariable String folder) {
    return rights.of(me, folder);
  }

  /** Says whose a folder is; for those who may change it. */
  @PutMapping
  Folders.FolderName set(
      Member me,
      @RequestHeader("Command-Id") UUID command,
      @PathVariable String folder,
      @RequestBody FolderRights.RightsWanted body) {
    return rights.set(me, command, folder, body);
  }
}
