package org.quietlantern.server.loading;

import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Bringing files in, for stewards; how far they are, for everybody. */
@RestController
@RequestMapping("/api/groups/{group}/loads")
class LoadController {
  private final Loads loads;

  LoadController(Loads loads) {
    this.loads = loads;
  }

  /** Files that were brought in, the newest first; {@code before}: older than this one. */
  @GetMapping
  Loads.LoadsShown newest(@RequestParam(required = false) @Nullable Integer before) {
    return loads.newest(before);
  }

  /**
   * Brings a file in, as it is. It is read once it came whole.
   *
   * @param name of the file
   * @param into name of the source that it is loaded into
   */
  @PostMapping
  @ResponseStatus(HttpStatus.ACCEPTED)
  void receive(
      Member me, @RequestParam String name, @RequestParam String into, HttpServletRequest request)
      throws IOException {
    loads.receive(me, name, into, request.getInputStream());
  }

  /** Stops reading a file; what was taken of it stays. */
  @DeleteMapping("/{load}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void stop(Member me, @PathVariable int load) {
    loads.stop(me, load);
  }
}
