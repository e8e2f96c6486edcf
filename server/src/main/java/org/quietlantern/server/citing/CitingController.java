package org.quietlantern.server.citing;

import java.util.List;
import org.quietlantern.core.citation.shelf.StyleFinder;
import org.quietlantern.server.group.FolderGuestsMay;
import org.quietlantern.server.group.GuestsMay;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/groups/{group}")
class CitingController {
  private static final int SHOWN = 30;
  private final Citing citing;

  /** Styles that were found, the best first, and how many there are. */
  record StylesFound(List<StyleShown> styles, int count) {}

  /** What the group cites in, and the languages there are. */
  record CitingChoices(
      StyleShown style, String language, List<ShippedStyles.LanguageShown> languages) {}

  /** {@code style} and {@code language}: absent for the group's. */
  record CitationsWanted(
      List<Citing.CiteWanted> cites, @Nullable String style, @Nullable String language) {}

  CitingController(Citing citing) {
    this.citing = citing;
  }

  /** Citation styles by what is typed of title, discipline, sort or ISSN; the first thirty. */
  @GetMapping("/styles")
  @FolderGuestsMay
  StylesFound styles(Member me, @RequestParam(defaultValue = "") String typed) {
    StyleFinder.Found found = citing.find(typed, SHOWN);
    return new StylesFound(found.styles().stream().map(StyleShown::of).toList(), found.count());
  }

  /** What the group cites in, and which languages there are. */
  @GetMapping("/citing")
  @FolderGuestsMay
  CitingChoices choices(Member me) {
    StyleChoice choice = citing.ofGroup(me);
    return new CitingChoices(
        citing.style(choice.style()), choice.language(), ShippedStyles.languages());
  }

  /** Some publications as they are cited. */
  @PostMapping("/citations")
  @GuestsMay
  CitationsShown cite(Member me, @RequestBody CitationsWanted body) {
    return citing.cite(
        me,
        body.cites(),
        new StyleChoice(
            body.style() == null ? "" : body.style(),
            body.language() == null ? "" : body.language()));
  }
}
