package org.quietlantern.server.group;

import java.util.UUID;
import org.quietlantern.server.platform.web.SessionAccount;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/foundings")
class FoundingController {
  private final Founding founding;

  /** {@code id}: of the group. */
  record GroupFounded(String id) {}

  FoundingController(Founding founding) {
    this.founding = founding;
  }

  /** Founds a group, once however often it is asked by the same id. */
  @PutMapping("/{founding}")
  GroupFounded found(@PathVariable("founding") UUID id, @RequestBody Founding.GroupWanted wanted) {
    return new GroupFounded(founding.found(SessionAccount.current(), id, wanted));
  }
}
