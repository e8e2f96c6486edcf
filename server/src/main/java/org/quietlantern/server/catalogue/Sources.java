package org.quietlantern.server.catalogue;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.quietlantern.server.platform.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The suppliers of records: what they are called and what they hold. */
@Service
@Transactional(readOnly = true)
public class Sources {
  private final CatalogueMapper mapper;

  /**
   * A source.
   *
   * @param rank whose values are believed first: the lower the sooner
   * @param abstractsOpen whether its abstracts may be shown to anyone
   * @param paused whether it is not harvested, by a steward's choice
   * @param records that it supplies now
   * @param firstYear of the earliest of them that has a year
   * @param harvested when the last harvest ended that came through
   * @param failed when the last harvest ended, if it did not come through; {@code error}: why
   */
  public record SourceView(
      String key,
      String name,
      String format,
      int rank,
      boolean abstractsOpen,
      boolean paused,
      int records,
      @Nullable Integer firstYear,
      @Nullable Integer lastYear,
      @Nullable Instant harvested,
      @Nullable Instant failed,
      @Nullable String error) {}

  Sources(CatalogueMapper mapper) {
    this.mapper = mapper;
  }

  /** Names of all sources by row number. */
  public Map<Integer, String> namesByRow() {
    return mapper.sourceRows().stream()
        .collect(
            Collectors.toMap(CatalogueMapper.SourceNamed::id, CatalogueMapper.SourceNamed::name));
  }

  /** The most believed first. */
  public List<SourceView> all() {
    return mapper.sources().stream()
        .map(
            row ->
                new SourceView(
                    row.key(),
                    row.name(),
                    row.format(),
                    row.rank(),
                    row.abstractsOpen(),
                    row.paused(),
                    row.records(),
                    row.firstYear(),
                    row.lastYear(),
                    row.ended(),
                    row.failed(),
                    row.error()))
        .toList();
  }

  /** Names by key, the most believed first. */
  public Map<String, String> names() {
    Map<String, String> names = new LinkedHashMap<>();
    mapper.sourceNames().forEach(source -> names.put(source.key(), source.name()));
    return names;
  }

  /** Keys of the sources that supply each publication (row numbers). */
  public Map<Integer, List<String>> supplying(Collection<Integer> publications) {
    Map<Integer, List<String>> supplying = new HashMap<>();
    mapper
        .supplying(publications.toArray(Integer[]::new))
        .forEach(
            row ->
                supplying
                    .computeIfAbsent(row.publication(), p -> new ArrayList<>())
                    .add(row.source()));
    return supplying;
  }
}
