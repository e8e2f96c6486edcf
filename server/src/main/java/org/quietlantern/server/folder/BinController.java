package org.quietlantern.server.folder;

import java.util.List;
import java.util.UUID;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/groups/{group}/bin")
class BinController {
  private final Bin bin;

  /** {@code publications}: which of them; absent: all. */
  record WantedBack(@Nullable List<String> publications) {}

  BinController(Bin bin) {
    this.bin = bin;
  }

  /** What ended or was taken out in the last thirty days, the last first; {@code from}: a line. */
  @GetMapping
  Bin.BinPage page(Member me, @RequestParam(defaultValue = "0") int from) {
    return bin.page(me, from);
  }

  /** Brings back a folder or saved search that ended. */
  @PostMapping("/{ended}/back")
  Bin.Ended bringBack(
      Member me, @RequestHeader("Command-Id") UUID command, @PathVariable String ended) {
    return bin.bringBack(me, command, ended);
  }

  /** The publications that were taken out by an act and are not in their folder again. */
  @GetMapping("/{out}/publications")
  List<Bin.TakenWork> takenOut(Member me, @PathVariable String out) {
    return bin.takenOut(me, out);
  }

  /** Puts publications back that were taken out by an act, all or some. */
  @PostMapping("/{out}/publications/back")
  Bin.PutBack putBack(
      Member me,
      @RequestHeader("Command-Id") UUID command,
      @PathVariable String out,
      @RequestBody WantedBack body) {
    return bin.putBack(me, command, out, body.publications());
  }
}
