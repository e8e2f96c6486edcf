package org.quietlantern.server.citing;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.quietlantern.core.citation.CitedItem;
import org.quietlantern.core.citation.check.StylePrints;
import org.quietlantern.core.citation.csl.Citation;
import org.quietlantern.core.citation.csl.Cite;
import org.quietlantern.core.citation.csl.Item;
import org.quietlantern.core.citation.csl.Processor;
import org.quietlantern.core.citation.csl.Typeset;
import org.quietlantern.core.citation.file.BibliographyFile;
import org.quietlantern.core.citation.file.BibliographyHtml;
import org.quietlantern.core.citation.file.BibliographyText;
import org.quietlantern.core.citation.shelf.StyleFinder;
import org.quietlantern.core.citation.shelf.StyleShelf;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.StoredPublication;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.mending.Compared;
import org.quietlantern.server.mending.Mends;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Refusal;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Cites works in a style (rules C). */
@Service
@Transactional(readOnly = true)
public class Citing {
  /** Works that are cited together in a text. */
  private static final int MOST = 500;

  private static final int LONGEST = 500;

  /** What styles print of sorts of works, as it was found out. */
  private static final Cache<Printed, StylePrints> PRINTS =
      Caffeine.newBuilder().maximumSize(1_000).build();

  private record Printed(String style, String type) {}

  private final Publications publications;
  private final Mends mends;
  private final BeforeLeaving beforeLeaving;

  /**
   * A work that is to be cited.
   *
   * @param label what the locator counts, {@code page}; as the specification names them
   */
  public record CiteWanted(
      String publication,
      @Nullable String locator,
      @Nullable String label,
      @Nullable String prefix,
      @Nullable String suffix) {
    /** The work as it is, with nothing around it. */
    public static CiteWanted of(String publication) {
      return new CiteWanted(publication, null, null, null, null);
    }

    Cite cite(String id) {
      String before = cut(prefix).strip();
      String after = cut(suffix).strip();
      boolean joins = after.isEmpty() || !Character.isLetterOrDigit(after.charAt(0));
      return new Cite(
          id,
          cut(locator),
          cut(label),
          before.isEmpty() ? "" : before + " ",
          joins ? after : " " + after,
          false);
    }

    private static String cut(@Nullable String text) {
      if (text != null && text.length() > LONGEST) {
        throw Refusal.unusable(
            "too-long", "What stands around a citation has at most 500 characters.");
      }
      return text == null ? "" : text;
    }
  }

  Citing(Publications publications, Mends mends, BeforeLeaving beforeLeaving) {
    this.publications = publications;
    this.mends = mends;
    this.beforeLeaving = beforeLeaving;
  }

  /** What a group cites in. */
  public StyleChoice ofGroup(Member who) {
    return new StyleChoice(who.citationStyle(), who.citationLanguage());
  }

  /** Styles by what is typed of them, the best first. */
  public StyleFinder.Found find(String typed, int most) {
    return ShippedStyles.finder().find(typed, most);
  }

  /** A style that ships, by its name. */
  public StyleShown style(String name) {
    return StyleShown.of(shelved(name).info());
  }

  /** Refuses a style or a language that does not ship. */
  public static void require(StyleChoice choice) {
    shelved(choice.style());
    requireLanguage(choice.language());
  }

  /** Refuses a language that does not ship; empty is fine. */
  public static void requireLanguage(String language) {
    if (!language.isEmpty() && !ShippedStyles.SHELF.hasLocale(language)) {
      throw Refusal.unusable(
          "language", "There are no words for citations in “%s” here.".formatted(language));
    }
  }

  private static StyleShelf.Shelved shelved(String name) {
    return ShippedStyles.SHELF
        .style(name)
        .orElseThrow(
            () ->
                Refusal.unusable(
                    "style", "There is no citation style named “%s” here.".formatted(name)));
  }

  /** One work as the group cites; it is not looked at for faults. */
  public CitationsShown one(Member who, StoredPublication stored) {
    return cited(
        items(who, List.of(stored)), List.of(Cite.of(stored.pid())), ofGroup(who), pid -> null);
  }

  /** Some works, each once, in this order where the style does not sort them. */
  public CitationsShown cite(Member who, List<CiteWanted> wanted, StyleChoice choice) {
    List<String> pids = wanted.stream().map(CiteWanted::publication).toList();
    if (pids.isEmpty() || pids.size() > MOST) {
      throw Refusal.unusable(
          "publications",
          "One publication at least is cited together, and %,d at most.".formatted(MOST));
    }
    Map<String, StoredPublication> works = publications.byAskedPid(Viewer.of(who), pids);
    if (!works.keySet().containsAll(pids)) {
      throw Refusal.unknown();
    }
    List<Cite> cites =
        wanted.stream().map(one -> one.cite(works.get(one.publication()).pid())).toList();
    Map<String, StoredPublication> once = new LinkedHashMap<>();
    pids.forEach(pid -> once.putIfAbsent(works.get(pid).pid(), works.get(pid)));
    return cite(who, List.copyOf(once.values()), cites, choice.or(ofGroup(who)));
  }

  private CitationsShown cite(
      Member who, List<StoredPublication> works, List<Cite> cites, StyleChoice choice) {
    Mends.Said said = mends.said(who.group(), works.stream().map(StoredPublication::id).toList());
    BeforeLeaving.Look look = beforeLeaving.begin(choice, said.mended());
    look.add(works);
    Set<String> right = compared(works, said);
    return cited(
        works.stream().map(one -> CitedItem.of(one.pid(), look.read(one.pid()))).toList(),
        cites,
        choice,
        pid -> right.contains(pid) ? List.of() : look.faults(pid));
  }

  private static CitationsShown cited(
      List<Item> items,
      List<Cite> cites,
      StyleChoice choice,
      Function<String, List<FaultShown>> faults) {
    StyleShelf.Shelved shelved = shelved(choice.style());
    Processor processor = processor(items, choice, false);
    Typeset inText = processor.citations(List.of(new Citation(cites, 0))).get(0);
    List<Processor.Entry> entries = processor.bibliography();
    BibliographyFile file =
        new BibliographyFile(
            "",
            "",
            processor.entryLayout(),
            entries.stream()
                .<BibliographyFile.Part>map(
                    entry -> new BibliographyFile.Entry(entry.text().blocks()))
                .toList());
    return new CitationsShown(
        StyleShown.of(shelved.info()),
        choice.language(),
        shelved.style().missing(),
        processor.entryLayout(),
        entries.stream()
            .map(
                entry ->
                    new CitationsShown.CitedEntry(
                        entry.item(), CitedPart.of(entry.text()), faults.apply(entry.item())))
            .toList(),
        CitedPart.of(inText),
        CitedPart.of(processor.narrative(cites)),
        BibliographyHtml.fragment(file),
        BibliographyText.entries(file));
  }

  /** Works as a bibliography in the group's style. */
  public BibliographyFile bibliography(
      Member who, String title, Collection<StoredPublication> works) {
    StyleChoice choice = ofGroup(who);
    Processor processor = processor(items(who, works), choice, false);
    return new BibliographyFile(
        title,
        style(choice.style()).title(),
        processor.entryLayout(),
        processor.bibliography().stream()
            .filter(entry -> !entry.text().isEmpty())
            .<BibliographyFile.Part>map(entry -> new BibliographyFile.Entry(entry.text().blocks()))
            .toList());
  }

  /** What a style is told of works as the group reads them; their ids are the public ones. */
  private List<Item> items(Member who, Collection<StoredPublication> works) {
    Map<Integer, List<Mends.Mended>> mended =
        mends.of(who, works.stream().map(StoredPublication::id).toList());
    return works.stream().map(work -> CitedItem.of(work.pid(), Mends.read(work, mended))).toList();
  }

  /** Those of which somebody compared the entry with the work: it is right as it is. */
  private static Set<String> compared(List<StoredPublication> works, Mends.Said said) {
    Set<Integer> ids =
        Compared.of(
                works.stream().map(one -> new Publications.State(one.id(), one.digest())).toList(),
                said)
            .keySet();
    return works.stream()
        .filter(one -> ids.contains(one.id()))
        .map(StoredPublication::pid)
        .collect(Collectors.toSet());
  }

  /** What a style prints of a sort of work. */
  public static StylePrints prints(StyleChoice choice, String type) {
    return PRINTS.get(
        new Printed(choice.style(), type),
        printed ->
            StylePrints.of(ShippedStyles.SHELF.processor(shelved(printed.style()), ""), type));
  }

  /** What a style uses that is not done here, in words. */
  public static List<String> missing(StyleChoice choice) {
    return shelved(choice.style()).style().missing();
  }

  /**
   * With all works that are cited together; refused where style or language do not ship.
   *
   * @param asTheyAre whether they stand in this order, whatever the style says
   */
  public static Processor processor(List<Item> items, StyleChoice choice, boolean asTheyAre) {
    requireLanguage(choice.language());
    Processor processor = ShippedStyles.SHELF.processor(shelved(choice.style()), choice.language());
    processor.setItems(items, asTheyAre);
    return processor;
  }
}
