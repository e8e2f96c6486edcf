package org.quietlantern.server.bringing;

import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Refusal;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Files of references that members bring in. */
@RestController
@RequestMapping("/api/groups/{group}/brought")
class BroughtController {
  /** Long files are held whole while they come: so many at a time, and so long they wait. */
  private static final int AT_A_TIME = 2;

  private static final int SECONDS = 60;

  private final Broughts broughts;
  private final BroughtViews views;
  private final Semaphore room = new Semaphore(AT_A_TIME, true);

  /** What stands in each column, by its head; empty for nothing that is read. */
  record ColumnsSaid(Map<String, String> holds) {}

  /** {@code folder}: that they go into. */
  record TakeBody(String folder) {}

  BroughtController(Broughts broughts, BroughtViews views) {
    this.broughts = broughts;
    this.views = views;
  }

  /** What the member brought in, the latest first; {@code before}: the last of the page before. */
  @GetMapping
  BroughtViews.BroughtLines brought(
      Member me, @RequestParam(required = false) @Nullable String before) {
    return views.lines(me, before);
  }

  /** Begins to bring files in. */
  @PostMapping
  Broughts.BroughtName begin(Member me, @RequestHeader("Command-Id") UUID command) {
    return broughts.begin(me, command);
  }

  /** Files, columns, and how many entries are what. */
  @GetMapping("/{brought}")
  BroughtViews.BroughtShown oneBrought(Member me, @PathVariable String brought) {
    return views.shown(me, brought);
  }

  /** Forgets one of which nothing was taken. */
  @DeleteMapping("/{brought}")
  Broughts.BroughtName leave(
      Member me, @RequestHeader("Command-Id") UUID command, @PathVariable String brought) {
    return broughts.leave(me, command, brought);
  }

  /**
   * Sends a file, as it is; the same number again replaces it.
   *
   * @param n from 0 on
   * @param name of the file
   */
  @PutMapping("/{brought}/files/{n}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void putFile(
      Member me,
      @PathVariable String brought,
      @PathVariable int n,
      @RequestParam(required = false) @Nullable String name,
      HttpServletRequest request)
      throws IOException {
    broughts.get(me, brought);
    takePlace();
    try {
      broughts.put(me, brought, n, name, request.getInputStream().readAllBytes());
    } finally {
      room.release();
    }
  }

  private void takePlace() {
    try {
      if (!room.tryAcquire(SECONDS, TimeUnit.SECONDS)) {
        throw Refusal.busy("Others bring in long files just now; send it again in a minute.");
      }
    } catch (InterruptedException ended) {
      Thread.currentThread().interrupt();
      throw Refusal.left();
    }
  }

  /** Says what the columns of a table hold; it is read again. */
  @PutMapping("/{brought}/files/{n}/columns")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void putColumns(
      Member me, @PathVariable String brought, @PathVariable int n, @RequestBody ColumnsSaid body) {
    broughts.columns(me, brought, n, body.holds());
  }

  /**
   * Entries, fifty at a time.
   *
   * @param of what was found, an outcome, {@code faulty} or {@code undecided}; empty: all
   */
  @GetMapping("/{brought}/entries")
  BroughtViews.BroughtEntries entriesBrought(
      Member me,
      @PathVariable String brought,
      @RequestParam(defaultValue = "") String of,
      @RequestParam(defaultValue = "0") int from) {
    return views.entries(me, brought, of, from);
  }

  /** What could not be read, fifty at a time. */
  @GetMapping("/{brought}/problems")
  BroughtViews.BroughtProblems problemsBrought(
      Member me, @PathVariable String brought, @RequestParam(defaultValue = "0") int from) {
    return views.problems(me, brought, from);
  }

  /** Decides what entries are. */
  @PutMapping("/{brought}/decisions")
  Broughts.Decided decideBrought(
      Member me,
      @RequestHeader("Command-Id") UUID command,
      @PathVariable String brought,
      @RequestBody Broughts.ToDecide body) {
    return broughts.decide(me, command, brought, body);
  }

  /** Takes what is decided into the catalogue of the group and into a folder. */
  @PostMapping("/{brought}/taken")
  Broughts.BroughtName takeBrought(
      Member me,
      @RequestHeader("Command-Id") UUID command,
      @PathVariable String brought,
      @RequestBody TakeBody body) {
    return broughts.take(me, command, brought, body.folder());
  }

  /** Takes one entry back; it can be decided anew. */
  @DeleteMapping("/{brought}/entries/{n}/taken")
  Broughts.BroughtName giveOneBackBrought(
      Member me,
      @RequestHeader("Command-Id") UUID command,
      @PathVariable String brought,
      @PathVariable int n) {
    return broughts.giveOneBack(me, command, brought, n);
  }

  /** Takes all of it back; what colleagues keep or said something of stays. */
  @DeleteMapping("/{brought}/taken")
  Broughts.BroughtName giveBackBrought(
      Member me, @RequestHeader("Command-Id") UUID command, @PathVariable String brought) {
    return broughts.giveBack(me, command, brought);
  }
}
