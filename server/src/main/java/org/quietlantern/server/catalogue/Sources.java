package org.quietlantern.server.catalogue;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.SystemTime;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The suppliers of records: what they are called and what they hold. */
@Service
@Transactional(readOnly = true)
public class Sources {
  private final SuppliersMapper mapper;
  private final SystemTime system;

  /**
   * A source.
   *
   * @param rank whose values are believed first: the lower the sooner
   * @param abstractsOpen whether its abstracts may be shown to anyone
   * @param paused whether it is not harvested, by a steward's choice
   * @param files whether files are loaded into it; it is not harvested then
   * @param everyHours how often it is harvested
   * @param hourFrom from which hour of UTC on it is harvested, and until which; absent: at any
   * @param endingSince since when what it supplied is being taken back, or was
   * @param records that it supplies now
   * @param firstYear of the earliest of them that has a year
   * @param harvested when the last harvest ended that came through
   * @param failed when the last harvest ended, if it did not come through; {@code error}: why
   * @param underWay how far the harvest is that goes on now
   */
  public record SourceView(
      String key,
      String name,
      String format,
      int rank,
      boolean abstractsOpen,
      boolean paused,
      boolean files,
      int everyHours,
      @Nullable Integer hourFrom,
      @Nullable Integer hourTo,
      @Nullable Instant endingSince,
      int records,
      @Nullable Integer firstYear,
      @Nullable Integer lastYear,
      @Nullable Instant harvested,
      @Nullable Instant failed,
      @Nullable String error,
      @Nullable UnderWay underWay) {}

  /**
   * A harvest that goes on.
   *
   * @param taken records so far
   * @param expected how many the source says there are; absent if it does not
   * @param aSecond records that are taken in a second
   */
  public record UnderWay(int taken, @Nullable Integer expected, int aSecond) {}

  Sources(SuppliersMapper mapper, SystemTime system) {
    this.mapper = mapper;
    this.system = system;
  }

  /** Names of all sources by row number. */
  public Map<Integer, String> namesByRow() {
    return mapper.sourceRows().stream()
        .collect(
            Collectors.toMap(SuppliersMapper.SourceNamed::id, SuppliersMapper.SourceNamed::name));
  }

  /** The most believed first. */
  public List<SourceView> all() {
    return mapper.sources().stream().map(this::view).toList();
  }

  private SourceView view(SuppliersMapper.SourceRow row) {
    return new SourceView(
        row.key(),
        row.name(),
        row.format(),
        row.rank(),
        row.abstractsOpen(),
        row.paused(),
        row.files(),
        row.everyHours(),
        row.hourFrom(),
        row.hourTo(),
        row.ending(),
        row.records(),
        row.firstYear(),
        row.lastYear(),
        row.ended(),
        row.failed(),
        row.error(),
        underWay(row));
  }

  private @Nullable UnderWay underWay(SuppliersMapper.SourceRow row) {
    if (row.taken() == null) {
      return null;
    }
    Duration since =
        row.tryStarted() == null ? Duration.ZERO : Duration.between(row.tryStarted(), system.now());
    long seconds = Math.max(1, since.toSeconds());
    return new UnderWay(row.taken(), row.expected(), (int) (row.tryTaken() / seconds));
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
