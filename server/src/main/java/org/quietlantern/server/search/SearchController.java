package org.quietlantern.server.search;

import java.util.List;
import java.util.Optional;
import org.quietlantern.core.citation.file.BibliographyDocx;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.search.Only;
import org.quietlantern.core.search.Ordering;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.Versions;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.folder.Folders;
import org.quietlantern.server.group.FolderGuestsMay;
import org.quietlantern.server.group.GuestsMay;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.matching.Answer;
import org.quietlantern.server.matching.Matching;
import org.quietlantern.server.matching.StrategyBody;
import org.quietlantern.server.matching.StrategyRequest;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Refusal;
import org.quietlantern.server.platform.web.Attachment;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/groups/{group}")
class SearchController {
  private static final String DOCX =
      "application/vnd.openxmlformats-officedocument.wordprocessingml.document";
  private static final int FIRST = 50;
  private static final int MOST_ROWS = 100;
  private final Matching matching;
  private final Hits hits;
  private final Leaves leaves;
  private final Beginnings beginnings;
  private final Outward outward;
  private final KeptTies keptTies;
  private final SamePeople samePeople;
  private final SearchBibliography bibliography;
  private final Versions versions;
  private final Publications publications;
  private final Folders folders;

  /**
   * Something to search for.
   *
   * @param order as in addresses: {@code published}, or {@code -published} the other way round
   * @param waitFor a change number that the answer has to include
   * @param kept what of it is listed: {@code nowhere} for what is in no folder that the member
   *     sees, or what is in a folder, by its id; absent: all
   */
  record SearchBody(
      @Nullable String text,
      @Nullable StrategyBody strategy,
      @Nullable String order,
      @Nullable Long waitFor,
      @Nullable String kept) {}

  /**
   * The answer with the first rows of the list, all of one state.
   *
   * @param answer none where what is asked cannot be searched
   * @param problems why it cannot, each with its place; else none. What somebody is still typing is
   *     no error
   */
  record SearchResult(@Nullable Answer answer, List<Hit> first, List<Answer.Note> problems) {}

  /**
   * @param since a number of the catalogue: how many of what changed after it is found
   */
  record CountBody(@Nullable String text, @Nullable StrategyBody strategy, @Nullable Long since) {}

  /** {@code came}: of what changed since the number asked for. */
  record Counted(int count, int came) {}

  record RowsBody(List<String> ids, @Nullable StrategyRequest asked) {}

  SearchController(
      Matching matching,
      Hits hits,
      Leaves leaves,
      Beginnings beginnings,
      Outward outward,
      KeptTies keptTies,
      SamePeople samePeople,
      SearchBibliography bibliography,
      Versions versions,
      Publications publications,
      Folders folders) {
    this.folders = folders;
    this.bibliography = bibliography;
    this.versions = versions;
    this.publications = publications;
    this.outward = outward;
    this.keptTies = keptTies;
    this.samePeople = samePeople;
    this.matching = matching;
    this.hits = hits;
    this.leaves = leaves;
    this.beginnings = beginnings;
  }

  /** What a strategy finds: counts of its lines, the first thousand ids, the first rows. */
  @PostMapping("/search")
  @GuestsMay
  SearchResult search(Member me, @RequestBody SearchBody body) {
    Strategy strategy = new StrategyRequest(body.text(), body.strategy()).toStrategy();
    Ordering order =
        Ordering.named(Optional.ofNullable(body.order()).orElse("relevance"))
            .orElseThrow(() -> Refusal.unusable("order", "No such order: " + body.order()));
    long waitFor = Optional.ofNullable(body.waitFor()).orElse(0L);
    try {
      Optional<Only> only = Optional.ofNullable(body.kept()).map(kept -> only(me, kept));
      return matching.inOneState(me, waitFor, () -> found(me, strategy, order, only));
    } catch (Matching.NotSearchable problem) {
      return new SearchResult(null, List.of(), problem.problems());
    }
  }

  private Only only(Member me, String kept) {
    return kept.equals("nowhere")
        ? new Only(folders.works(me), true)
        : new Only(folders.works(me, kept), false);
  }

  private SearchResult found(Member me, Strategy strategy, Ordering order, Optional<Only> only) {
    Answer answer =
        only.map(filter -> matching.search(me, strategy, order, filter))
            .orElseGet(() -> matching.search(me, strategy, order, 0));
    List<String> first = answer.ids().subList(0, Math.min(FIRST, answer.ids().size()));
    return new SearchResult(answer, hits.of(me, first, Optional.of(strategy)), List.of());
  }

  /** How many there are by now, without the list. */
  @PostMapping("/search/count")
  @GuestsMay
  Counted count(Member me, @RequestBody CountBody body) {
    Strategy strategy = new StrategyRequest(body.text(), body.strategy()).toStrategy();
    return matching.inOneState(
        me,
        0,
        () ->
            new Counted(
                matching.count(me, strategy),
                body.since() == null
                    ? 0
                    : matching.countAmong(me, strategy, publications.touchedSince(body.since()))));
  }

  /** Saved searches and steps that a line can hold, or that can be compared. */
  @GetMapping("/search/holdables")
  Beginnings.HoldablesShown holdables(Member me, @RequestParam(defaultValue = "") String words) {
    return beginnings.holdables(me, words);
  }

  /** What an empty sheet can begin with. */
  @GetMapping("/search/beginnings")
  Beginnings.BeginningsShown beginnings(Member me) {
    return beginnings.of(me);
  }

  /** All that a settled search finds, as a bibliography in the group's style (ISO/IEC 29500). */
  @GetMapping(value = "/q/{q}/bibliography/docx", produces = DOCX)
  ResponseEntity<byte[]> bibliography(Member me, @PathVariable String q) {
    return Attachment.of("search-" + q + ".docx", BibliographyDocx.write(bibliography.of(me, q)));
  }

  /** Rows of a list that is known by its ids. */
  @PostMapping("/rows")
  @GuestsMay
  List<Hit> rows(Member me, @RequestBody RowsBody body) {
    if (body.ids().size() > MOST_ROWS) {
      throw Refusal.unusable("rows", "At most " + MOST_ROWS + " rows are given at once.");
    }
    Optional<Strategy> asked = Optional.ofNullable(body.asked()).map(StrategyRequest::toStrategy);
    return matching.inOneState(me, 0, () -> hits.of(me, body.ids(), asked));
  }

  /** The ways from a publication to others. */
  @GetMapping("/publications/{publication}/outward")
  Outward.OutwardShown outward(Member me, @PathVariable String publication) {
    return outward.of(me, publication);
  }

  /** How it relates to what is in folders that the reader sees. */
  @GetMapping("/publications/{publication}/ties")
  KeptTies.TiesShown ties(Member me, @PathVariable String publication) {
    return keptTies.of(me, publication);
  }

  /** Who may be behind the name of one of its authors, the first of whom is number 0. */
  @GetMapping("/publications/{publication}/authors/{n}")
  SamePeople.AuthorAsked author(Member me, @PathVariable String publication, @PathVariable int n) {
    return samePeople.of(me, publication, n);
  }

  /** What each source supplied of it: its versions, the latest form first. */
  @GetMapping("/publications/{publication}/versions")
  List<Versions.VersionShown> versions(Member me, @PathVariable String publication) {
    return versions.of(Viewer.of(me), publication);
  }

  /** What changed of it since it came, the latest first. */
  @GetMapping("/publications/{publication}/history")
  List<Versions.PublicationChange> history(Member me, @PathVariable String publication) {
    return versions.history(Viewer.of(me), publication);
  }

  /** One publication with everything that is known of it. */
  @GetMapping("/publications/{publication}")
  @FolderGuestsMay
  Leaf publication(Member me, @PathVariable String publication) {
    return matching.inOneState(me, 0, () -> leaves.get(me, publication, Optional.empty()));
  }

  /** The same for somebody who came by a search: says why it is here, and lights its words. */
  @PostMapping("/publications/{publication}/leaf")
  @GuestsMay
  Leaf leaf(Member me, @PathVariable String publication, @RequestBody StrategyRequest asked) {
    Optional<Strategy> strategy = Optional.of(asked.toStrategy());
    return matching.inOneState(me, 0, () -> leaves.get(me, publication, strategy));
  }
}
