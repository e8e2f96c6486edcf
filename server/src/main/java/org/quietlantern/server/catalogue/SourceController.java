package org.quietlantern.server.catalogue;

import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/groups/{group}/sources")
class SourceController {
  private final Sources sources;

  SourceController(Sources sources) {
    this.sources = sources;
  }

  /** What each source holds and supplies. */
  @GetMapping
  List<Sources.SourceView> all() {
    return sources.all();
  }
}
