package org.quietlantern.server.mending;

import java.util.List;
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
@RequestMapping("/api/groups/{group}")
class MendController {
  private final Mends mends;
  private final Compared compared;

  record MendsWanted(List<Mends.MendWanted> mends) {}

  record TickWanted(List<String> publications, boolean checked) {}

  MendController(Mends mends, Compared compared) {
    this.mends = mends;
    this.compared = compared;
  }

  /** The fields of a publication that can be mended, as supplied and as the group reads them. */
  @GetMapping("/publications/{publication}/fields")
  List<Mends.FieldRead> fields(Member me, @PathVariable String publication) {
    return mends.fields(me, publication);
  }

  /** Mends fields of publications in the group's reading, all as one act. */
  @PutMapping("/mends")
  Mends.MendsSet set(
      Member me, @RequestHeader("Command-Id") UUID command, @RequestBody MendsWanted body) {
    return mends.set(me, command, body.mends());
  }

  /** Ticks entries as compared with the works themselves, or takes that back. */
  @PutMapping("/compared")
  Compared.Ticked tick(
      Member me, @RequestHeader("Command-Id") UUID command, @RequestBody TickWanted body) {
    return compared.tick(me, command, body.publications(), body.checked());
  }
}
