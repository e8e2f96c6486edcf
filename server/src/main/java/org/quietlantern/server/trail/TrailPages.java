package org.quietlantern.server.trail;

import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.quietlantern.core.query.CqlWriter;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.matching.StrategyBody;
import org.quietlantern.server.platform.Json;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Refusal;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** A member's trail to be read, searched and taken along; nobody else's (rule R3). */
@Service
@Transactional(readOnly = true)
public class TrailPages {
  private static final int STEPS = 50;
  private static final int OPENED = 200;

  /** Steps that one file holds. */
  private static final int MOST = 20_000;

  private static final DateTimeFormatter MINUTE =
      DateTimeFormatter.ofPattern("uuuu-MM-dd HH:mm", Locale.ENGLISH);
  private final TrailMapper mapper;
  private final Json json;

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

  /** A publication that was opened. {@code q}: the strategy it came from, if one did. */
  public record OpenedLine(String id, String title, Instant at, @Nullable String q) {}

  TrailPages(TrailMapper mapper, Json json) {
    this.mapper = mapper;
    this.json = json;
  }

  TrailPage page(Member who, String words, @Nullable String before) {
    Integer from = before == null ? null : mapper.findStep(who.id(), before);
    List<TrailMapper.PageRow> rows =
        mapper.page(who.id(), pattern(words), from == null ? 0 : from, STEPS + 1);
    List<TrailMapper.PageRow> shown = rows.subList(0, Math.min(STEPS, rows.size()));
    return new TrailPage(steps(who, shown), rows.size() > STEPS);
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

  /** What is typed stands for itself. */
  private static String pattern(String words) {
    String typed = words.strip();
    return typed.isEmpty() ? "" : "%" + typed.replaceAll("([\\\\%_])", "\\\\$1") + "%";
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
    return new OpenedLine(row.pid(), row.title(), row.at(), row.q());
  }

  List<OpenedLine> opened(Member who) {
    return mapper.lastOpened(who.id(), OPENED).stream().map(TrailPages::line).toList();
  }

  String csv(Member who) {
    StringWriter file = new StringWriter();
    CSVFormat format =
        CSVFormat.RFC4180
            .builder()
            .setHeader("when", "search (CQL)", "order", "found before", "found", "address")
            .get();
    try (CSVPrinter printer = new CSVPrinter(file, format)) {
      for (TrailMapper.PageRow row : mapper.page(who.id(), "", 0, MOST)) {
        printer.printRecord(
            when(row, who.zoneId()),
            guarded(CqlWriter.write(strategy(row).strategy())),
            row.ordered(),
            row.countBefore(),
            row.count(),
            "/q/" + row.q());
      }
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
    return file.toString();
  }

  /** No text that a table would take for a formula. */
  private static String guarded(String text) {
    return !text.isEmpty() && "=+-@\t\r".indexOf(text.charAt(0)) >= 0 ? "'" + text : text;
  }

  String text(Member who) {
    StringBuilder text = new StringBuilder();
    for (TrailMapper.PageRow row : mapper.page(who.id(), "", 0, MOST)) {
      text.append(when(row, who.zoneId()))
          .append("  ")
          .append(row.count())
          .append(row.countBefore() == null ? "" : " (was " + row.countBefore() + ")")
          .append("  ")
          .append(CqlWriter.write(strategy(row).strategy()))
          .append('\n');
    }
    return text.toString();
  }

  private static String when(TrailMapper.PageRow row, ZoneId zone) {
    return MINUTE.format(row.at().atZone(zone));
  }
}
