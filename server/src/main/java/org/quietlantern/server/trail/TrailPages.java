package org.quietlantern.server.trail;

import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import org.quietlantern.core.query.CqlWriter;
import org.quietlantern.core.report.Titles;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.matching.StrategyBody;
import org.quietlantern.server.platform.CsvTable;
import org.quietlantern.server.platform.Json;
import org.quietlantern.server.platform.LanternProperties;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Page;
import org.quietlantern.server.platform.Refusal;
import org.quietlantern.server.platform.sql.Like;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** A member's trail to be read, searched and taken along; nobody else's (rule R3). */
@Service
@Transactional(readOnly = true)
public class TrailPages {
  private static final int STEPS = 50;
  private static final int OPENED = 100;
  private static final int ALL = Integer.MAX_VALUE;

  private static final DateTimeFormatter MINUTE =
      DateTimeFormatter.ofPattern("uuuu-MM-dd HH:mm", Locale.ENGLISH);
  private final TrailMapper mapper;
  private final Json json;
  private final LanternProperties properties;

  /** {@code more}: whether older ones follow. */
  record TrailPage(List<TrailStep> steps, boolean more) {}

  /**
   * A step.
   *
   * @param before the count of the step before it; none for the first
   * @param opened publications that were opened from it
   */
  public record TrailStep(
      String id,
      String q,
      StrategyBody strategy,
      String order,
      @Nullable Integer before,
      int count,
      Instant at,
      List<OpenedLine> opened) {}

  /**
   * A publication that was opened.
   *
   * @param q the strategy it came from, if one did
   * @param downloaded whether its text was taken along
   */
  public record OpenedLine(
      String id,
      String title,
      boolean retracted,
      Instant at,
      @Nullable String q,
      boolean downloaded) {
    /** Its title, with what became of it. */
    public String told() {
      return Titles.of(title, retracted);
    }
  }

  /**
   * Openings, newest first.
   *
   * @param next what {@code before} is for the ones before these; none where these are the first
   * @param all how many there are in all
   */
  record OpenedPage(List<OpenedLine> lines, @Nullable Long next, int all) {}

  TrailPages(TrailMapper mapper, Json json, LanternProperties properties) {
    this.mapper = mapper;
    this.json = json;
    this.properties = properties;
  }

  TrailPage page(Member who, String words, @Nullable String before) {
    Integer from = before == null ? null : mapper.findStep(who.id(), before);
    Page<TrailMapper.PageRow> page =
        Page.of(mapper.page(who.id(), Like.part(words), from == null ? 0 : from, STEPS + 1), STEPS);
    return new TrailPage(steps(who, page.rows()), page.more());
  }

  /** From one of the member's steps to another, both in, in the order of time. */
  public List<TrailStep> stretch(Member who, String one, String other) {
    Integer from = mapper.findStep(who.id(), one);
    Integer to = mapper.findStep(who.id(), other);
    if (from == null || to == null) {
      throw Refusal.unknown();
    }
    return steps(who, mapper.stretch(who.id(), Math.min(from, to), Math.max(from, to)));
  }

  /** With what was opened from them. */
  private List<TrailStep> steps(Member who, List<TrailMapper.PageRow> rows) {
    Integer[] ids = rows.stream().map(TrailMapper.PageRow::id).toArray(Integer[]::new);
    Map<Integer, List<OpenedLine>> opened =
        mapper.openedFrom(who.id(), ids).stream()
            .collect(
                Collectors.groupingBy(
                    TrailMapper.OpenedRow::step,
                    Collectors.mapping(TrailPages::line, Collectors.toList())));
    return rows.stream().map(row -> step(row, opened.getOrDefault(row.id(), List.of()))).toList();
  }

  private TrailStep step(TrailMapper.PageRow row, List<OpenedLine> opened) {
    return new TrailStep(
        row.pid(),
        row.q(),
        strategy(row),
        row.ordered(),
        row.countBefore(),
        row.count(),
        row.at(),
        opened);
  }

  private StrategyBody strategy(TrailMapper.PageRow row) {
    return json.read(row.strategy(), StrategyBody.class);
  }

  private static OpenedLine line(TrailMapper.OpenedRow row) {
    return new OpenedLine(
        row.pid(), row.title(), row.retracted(), row.at(), row.q(), row.downloaded());
  }

  OpenedPage opened(Member who, String words, long before) {
    Page<TrailMapper.OpenedRow> page =
        Page.of(mapper.lastOpened(who.id(), Like.part(words), before, OPENED + 1), OPENED);
    return new OpenedPage(
        page.rows().stream().map(TrailPages::line).toList(),
        page.more() ? page.last().id() : null,
        mapper.countOpened(who.id(), Like.part(words)));
  }

  String csv(Member who) {
    return CsvTable.of(
        List.of(
            "when (" + who.zone() + ")",
            "search (CQL)",
            "order",
            "found before",
            "found",
            "address",
            "opened"),
        steps(who, mapper.page(who.id(), "", 0, ALL)).stream()
            .map(
                step ->
                    Arrays.asList(
                        when(step, who.zoneId()),
                        CqlWriter.write(step.strategy().strategy()),
                        step.order(),
                        step.before(),
                        step.count(),
                        address(who, "/q/" + step.q()),
                        step.opened().stream()
                            .map(line -> line.told() + " " + address(who, "/p/" + line.id()))
                            .collect(Collectors.joining("; "))))
            .toList());
  }

  String text(Member who) {
    StringBuilder text = new StringBuilder();
    for (TrailStep step : steps(who, mapper.page(who.id(), "", 0, ALL))) {
      text.append(when(step, who.zoneId()))
          .append("  ")
          .append(step.count())
          .append(step.before() == null ? "" : " (was " + step.before() + ")")
          .append("  ")
          .append(CqlWriter.write(step.strategy().strategy()))
          .append('\n');
      for (OpenedLine line : step.opened()) {
        text.append("    opened ").append(line.told()).append('\n');
      }
    }
    return text.toString();
  }

  private String address(Member who, String path) {
    return properties.baseUrl() + "/g/" + who.groupPid() + path;
  }

  private static String when(TrailStep step, ZoneId zone) {
    return MINUTE.format(step.at().atZone(zone));
  }
}
