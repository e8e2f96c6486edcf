package org.quietlantern.server.search;

import java.util.List;
import org.quietlantern.server.group.GuestsMay;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.matching.Matching;
import org.quietlantern.server.matching.StrategyBody;
import org.quietlantern.server.matching.StrategyRequest;
import org.quietlantern.server.platform.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What can be asked about a strategy besides what it finds. */
@RestController
@RequestMapping("/api/groups/{group}/search")
class StrategyController {
  private final Breakdowns breakdowns;
  private final SheetHelp help;
  private final Rendering rendering;
  private final Glances glances;
  private final Comparing comparing;
  private final Supplied supplied;
  private final Matching matching;

  /** {@code part} of a value's words, {@code most} bars, {@code months}: dates by month. */
  record BreakdownBody(
      StrategyBody strategy,
      String property,
      @Nullable String part,
      @Nullable Integer most,
      @Nullable Boolean months) {}

  record LineAsked(StrategyBody strategy, String line) {}

  record PassageBody(String text) {}

  record CqlBody(String cql) {}

  /** {@code own}: of the member who asks. */
  record Waiting(int own) {}

  StrategyController(
      Breakdowns breakdowns,
      SheetHelp help,
      Rendering rendering,
      Glances glances,
      Comparing comparing,
      Supplied supplied,
      Matching matching) {
    this.matching = matching;
    this.supplied = supplied;
    this.comparing = comparing;
    this.breakdowns = breakdowns;
    this.help = help;
    this.rendering = rendering;
    this.glances = glances;
  }

  /** How many of the member's own searches wait for their turn. */
  @GetMapping("/waiting")
  Waiting waiting(Member me) {
    return new Waiting(matching.waitingOf(me));
  }

  /** What each source supplies, counted. */
  @GetMapping("/supplied")
  List<Supplied.SuppliedShown> supplied(Member me) {
    return supplied.all(me);
  }

  /** How the result divides over a property. */
  @PostMapping("/breakdown")
  @GuestsMay
  Breakdowns.BreakdownShown breakdown(Member me, @RequestBody BreakdownBody body) {
    return breakdowns.of(
        me,
        StrategyBody.of(body.strategy()),
        body.property(),
        new Breakdowns.Wanted(
            body.part() == null ? "" : body.part(),
            body.most() == null ? 50 : body.most(),
            Boolean.TRUE.equals(body.months())));
  }

  /** What can be limited by, and what each limit means. */
  @GetMapping("/properties")
  List<Breakdowns.PropertyShown> properties() {
    return Breakdowns.properties();
  }

  /** What the result looks like from afar. */
  @PostMapping("/glance")
  @GuestsMay
  Glances.GlanceShown glance(Member me, @RequestBody StrategyRequest body) {
    return glances.of(me, body.toStrategy());
  }

  /** The strategy source by source. */
  @PostMapping("/sources")
  @GuestsMay
  Breakdowns.BySourceShown sources(Member me, @RequestBody StrategyRequest body) {
    return breakdowns.bySource(me, body.toStrategy());
  }

  /** What there is to know and to offer about the words of one line. */
  @PostMapping("/line")
  @GuestsMay
  SheetHelp.LineShown line(Member me, @RequestBody LineAsked body) {
    return help.line(me, StrategyBody.of(body.strategy()), body.line());
  }

  /** Two strategies beside each other, by the names that lines hold them by; of one state. */
  @GetMapping("/comparison")
  Comparing.CompareShown comparison(
      Member me, @RequestParam String one, @RequestParam String other) {
    return comparing.of(me, one, other);
  }

  /** What a held strategy is called. */
  @GetMapping("/held")
  Rendering.HeldShown held(Member me, @RequestParam String name) {
    return rendering.held(me, name);
  }

  /** What would help a search that finds too few. */
  @PostMapping("/ways-out")
  @GuestsMay
  List<SheetHelp.WayOutShown> waysOut(Member me, @RequestBody StrategyRequest body) {
    return help.waysOut(me, body.toStrategy());
  }

  /** Headings, keywords, authors and journals for what is being typed. */
  @GetMapping("/suggestions")
  List<SheetHelp.SuggestionShown> suggestions(Member me, @RequestParam String typed) {
    return help.suggestions(me, typed);
  }

  /** A line out of the strongest words of a passage; empty if none of them is known. */
  @PostMapping("/passage")
  @GuestsMay
  SheetHelp.PassageLine passage(Member me, @RequestBody PassageBody body) {
    return help.passage(me, body.text());
  }

  /** As one line of CQL, and as a plain sentence. */
  @PostMapping("/cql")
  @GuestsMay
  Rendering.Rendered cql(Member me, @RequestBody StrategyRequest body) {
    return rendering.of(me, body.toStrategy());
  }

  /** A strategy out of CQL. */
  @PostMapping("/cql/read")
  @GuestsMay
  StrategyBody read(Member me, @RequestBody CqlBody body) {
    return rendering.read(body.cql());
  }
}
