package org.quietlantern.server.holdings;

import java.time.LocalDate;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import org.quietlantern.core.holdings.Holdings;
import org.quietlantern.core.holdings.KbartReader;
import org.quietlantern.core.holdings.Ways;
import org.quietlantern.server.group.Member;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * What is in print at a group's library, and what members may read by rights of their own. It makes
 * ways to texts, and nothing readable for the group (rule M9).
 */
@Service
public class HeldElsewhere {
  private final HoldingsMapper mapper;
  private final Map<Integer, Kept> kept = new ConcurrentHashMap<>();

  /** For a member, in an edition of what groups hold. */
  private record Kept(String edition, Shelves mine) {}

  /** {@code where}: as the member's file is called. */
  public record Shelves(Holdings printed, Holdings own, String where) {
    /** Where it stands in print, in words. */
    public Optional<String> shelf(Ways.Asked asked, LocalDate today) {
      return printed
          .covering(asked, today)
          .map(
              title ->
                  title.place().isEmpty()
                      ? "in print at your library"
                      : "in print at your library: " + title.place());
    }

    /** By what right the member may read it, in words. */
    public Optional<String> right(Ways.Asked asked, LocalDate today) {
      return own.covering(asked, today).map(title -> "by rights of your own (" + where + ")");
    }
  }

  HeldElsewhere(HoldingsMapper mapper) {
    this.mapper = mapper;
  }

  /** {@code edition}: another one means that somebody brought in another file. */
  @Transactional(readOnly = true)
  public Shelves of(Member who, String edition) {
    Kept last = kept.get(who.id());
    if (last == null || !last.edition().equals(edition)) {
      last = new Kept(edition, read(who));
      kept.put(who.id(), last);
    }
    return last.mine();
  }

  private Shelves read(Member who) {
    Map<String, HoldingsMapper.FileRow> files =
        mapper.elsewhere(who.group(), who.id()).stream()
            .collect(Collectors.toMap(HoldingsMapper.FileRow::shelf, row -> row));
    HoldingsMapper.FileRow own = files.get(Shelf.OWN.word());
    return new Shelves(
        holdings(files.get(Shelf.PRINTED.word())), holdings(own), own == null ? "" : own.name());
  }

  private static Holdings holdings(HoldingsMapper.FileRow row) {
    return row == null ? Holdings.NONE : KbartReader.read(row.file()).holdings();
  }
}
