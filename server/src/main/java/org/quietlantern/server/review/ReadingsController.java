package org.quietlantern.server.review;

import java.util.UUID;
import org.quietlantern.server.group.Member;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/groups/{group}/publications/{publication}/read")
class ReadingsController {
  private final Readings readings;

  ReadingsController(Readings readings) {
    this.readings = readings;
  }

  /** Says what of a publication the member has read: its text, its abstract, nothing. */
  @PutMapping
  Readings.ReadSaid say(
      Member me,
      @RequestHeader("Command-Id") UUID command,
      @PathVariable String publication,
      @RequestBody Readings.ReadSaid body) {
    return readings.say(me, command, publication, body.extent());
  }
}
