package org.quietlantern.server.opened;

import java.util.UUID;
import org.quietlantern.server.group.Member;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/groups/{group}/folders/{folder}/link")
class FolderLinkController {
  private final FolderLinks links;

  record LinkAnnotated(boolean annotated) {}

  FolderLinkController(FolderLinks links) {
    this.links = links;
  }

  /** The address by which anybody reads a folder; for those who may change it. */
  @GetMapping
  FolderLinks.LinkOfFolder linkOf(Member me, @PathVariable String folder) {
    return links.of(me, folder);
  }

  /** Opens a folder to whoever has its address. */
  @PostMapping
  FolderLinks.LinkOfFolder openByLink(
      Member me, @RequestHeader("Command-Id") UUID command, @PathVariable String folder) {
    return links.open(me, command, folder);
  }

  /** Shows agreed annotations behind the address, or does not. */
  @PutMapping
  FolderLinks.LinkOfFolder annotateLink(
      Member me,
      @RequestHeader("Command-Id") UUID command,
      @PathVariable String folder,
      @RequestBody LinkAnnotated body) {
    return links.annotate(me, command, folder, body.annotated());
  }

  /** Revokes the address of a folder. */
  @DeleteMapping
  FolderLinks.LinkOfFolder closeLink(
      Member me, @RequestHeader("Command-Id") UUID command, @PathVariable String folder) {
    return links.close(me, command, folder);
  }
}
