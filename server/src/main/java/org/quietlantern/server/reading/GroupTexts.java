package org.quietlantern.server.reading;

import java.time.Instant;
import java.util.Arrays;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.quietlantern.core.text.TakenText;
import org.quietlantern.server.address.WayShown;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.StoredPublication;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Json;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Refusal;
import org.quietlantern.server.text.WaysToText;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The texts that a group has, and what is in them; another group's are not there (rule T4). */
@Service
@Transactional(readOnly = true)
public class GroupTexts {
  private final TextMapper mapper;
  private final Publications publications;
  private final WaysToText ways;
  private final Groups groups;
  private final Json json;

  /**
   * A text that the group has.
   *
   * @param form {@code pdf} or {@code html}
   * @param origin {@code fetched}, {@code brought in} or {@code delivered}
   * @param by who had it fetched or brought it in
   * @param pages how many; 1 for a page of the web
   * @param size in bytes
   * @param licence what its use is bound to; may be empty
   * @param hasWords whether words can be found in it; a scanned file has none
   * @param doubt {@code other work}: neither its title nor its DOI stands in its first pages;
   *     {@code abstract}: hardly more than the abstract is there
   * @param address where it was fetched
   */
  public record CopyShown(
      String id,
      String publication,
      String form,
      String version,
      String origin,
      String by,
      Instant at,
      String name,
      int pages,
      int size,
      String licence,
      boolean hasWords,
      @Nullable String doubt,
      @Nullable String address) {}

  /** What the group has, the best first, and from where a text can be fetched at once. */
  public record TextsHere(List<CopyShown> copies, List<WayShown> offered) {}

  /**
   * A text to be read.
   *
   * @param title as its file says
   * @param labels the numbers on its pages; an empty one where there are no pages
   * @param parts chapters, sections, figures, tables, in order
   * @param html of a page of the web, cleaned; empty for a file of pages
   */
  public record TextShown(
      CopyShown copy, String title, List<String> labels, List<PartShown> parts, String html) {}

  /**
   * @param kind {@code section}, {@code figure} or {@code table}
   * @param level 1 for the outermost
   * @param page on which it begins, from 0
   * @param anchor names the place in the page; empty for a file of pages
   */
  public record PartShown(String kind, int level, String title, int page, String anchor) {}

  GroupTexts(
      TextMapper mapper, Publications publications, WaysToText ways, Groups groups, Json json) {
    this.mapper = mapper;
    this.publications = publications;
    this.ways = ways;
    this.groups = groups;
    this.json = json;
  }

  /** Of one publication. */
  public TextsHere of(Member who, String pid) {
    StoredPublication stored = publications.get(Viewer.of(who), pid);
    return new TextsHere(shown(who, stored, rows(who, stored)), offered(who, stored));
  }

  /** Open ways at whose end is a text, in the order in which they are tried. */
  List<WayShown> offered(Member who, StoredPublication stored) {
    return ways.of(who, stored).stream()
        .filter(way -> List.of("open-copy", "version").contains(way.what()))
        .filter(way -> !way.use().equals("about") && !way.isDead())
        .toList();
  }

  /** Those without doubt first, and of them what appeared before what did not yet. */
  List<TextMapper.Row> rows(Member who, StoredPublication stored) {
    return mapper.of(who.group(), publications.withParts(stored)).stream()
        .filter(row -> mayRead(who, row))
        .sorted(Comparator.comparing(row -> row.doubt() != null))
        .toList();
  }

  /** Those without doubt, of some publications (row numbers), what appeared first. */
  List<TextMapper.Row> certain(Member who, Collection<Integer> works) {
    return mapper.of(who.group(), works.toArray(Integer[]::new)).stream()
        .filter(row -> mayRead(who, row) && row.doubt() == null)
        .toList();
  }

  private List<CopyShown> shown(Member who, StoredPublication of, List<TextMapper.Row> rows) {
    Map<Integer, String> names = groups.names(who.group());
    return rows.stream().map(row -> shown(of, row, names)).toList();
  }

  private static CopyShown shown(
      StoredPublication stored, TextMapper.Row row, Map<Integer, String> names) {
    return new CopyShown(
        row.pid(),
        stored.pid(),
        row.form(),
        row.version(),
        row.origin(),
        names.getOrDefault(row.membership(), "a former member"),
        row.at(),
        row.name(),
        row.pages(),
        row.size(),
        row.licence(),
        row.words(),
        row.doubt(),
        row.address());
  }

  /** Refused as unknown where the group has no such text. */
  TextMapper.Row row(Member who, String text) {
    return Optional.ofNullable(mapper.find(who.group(), text))
        .filter(row -> mayRead(who, row))
        .orElseThrow(Refusal::unknown);
  }

  /** The work that a text is of, whatever it was merged into since. */
  StoredPublication work(Member who, TextMapper.Row row) {
    return publications.byId(Viewer.of(who), List.of(row.publication())).get(0);
  }

  /** The same by the text's id. */
  public StoredPublication work(Member who, String text) {
    return work(who, row(who, text));
  }

  /** Guests read what anybody may; what members brought in is theirs. */
  private static boolean mayRead(Member who, TextMapper.Row row) {
    return who.mayWrite() || row.origin().equals(TextStore.FETCHED);
  }

  public TextShown text(Member who, String text) {
    TextMapper.Row row = row(who, text);
    TextMapper.Inside inside = mapper.inside(row.hash());
    TakenText.Part[] parts = json.read(inside.parts(), TakenText.Part[].class);
    return new TextShown(
        shown(who, work(who, row), List.of(row)).get(0),
        row.title(),
        mapper.pages(row.hash()).stream().map(TextMapper.PageRow::label).toList(),
        Arrays.stream(parts).map(GroupTexts::shown).toList(),
        inside.html());
  }

  private static PartShown shown(TakenText.Part part) {
    return new PartShown(
        part.kind().name().toLowerCase(Locale.ROOT),
        part.level(),
        part.title(),
        part.page(),
        part.anchor());
  }

  /**
   * A page of a text.
   *
   * @param label the number on it; empty where there are no pages
   */
  public record WrittenPage(String label, String words) {}

  /** The pages of the best text that the group has of a work; none where it has none. */
  public List<WrittenPage> pages(Member who, StoredPublication stored) {
    return rows(who, stored).stream()
        .filter(row -> row.doubt() == null)
        .findFirst()
        .map(row -> mapper.pages(row.hash()))
        .orElse(List.of())
        .stream()
        .map(page -> new WrittenPage(page.label(), page.words()))
        .toList();
  }

  /** The words of its pages, in order. */
  public List<String> words(Member who, String text) {
    return mapper.pages(row(who, text).hash()).stream().map(TextMapper.PageRow::words).toList();
  }
}
