package org.quietlantern.server.remark;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.StoredPublication;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.folder.Folders;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Remarks as they are read. */
@Service
@Transactional(readOnly = true)
public class RemarkLists {
  private final RemarkMapper mapper;
  private final Publications publications;
  private final Folders folders;
  private final Groups groups;
  private final Calendar calendar;

  /**
   * A remark or an answer.
   *
   * @param name of who wrote it
   * @param text absent where it was taken back and answers stay
   * @param changed when it was written anew
   * @param mine whether the reader wrote it
   * @param changeable whether the reader may still write it anew
   * @param settledBy who said that it is settled; absent where nobody did
   */
  public record RemarkThread(
      String id,
      String name,
      @Nullable String text,
      Instant at,
      @Nullable Instant changed,
      boolean mine,
      boolean changeable,
      @Nullable Instant settled,
      @Nullable String settledBy,
      List<RemarkThread> answers) {}

  RemarkLists(
      RemarkMapper mapper,
      Publications publications,
      Folders folders,
      Groups groups,
      Calendar calendar) {
    this.folders = folders;
    this.mapper = mapper;
    this.publications = publications;
    this.groups = groups;
    this.calendar = calendar;
  }

  /** Of a publication and what was joined with it, the oldest first. */
  public List<RemarkThread> of(Member who, String pid) {
    StoredPublication stored = publications.get(Viewer.of(who), pid);
    folders.requireSeen(who, stored.id());
    Integer[] parts = publications.withParts(stored);
    List<RemarkMapper.Row> rows = mapper.of(who.group(), parts);
    Map<Integer, String> names = groups.names(who.group());
    Map<Integer, List<RemarkMapper.Row>> answers =
        rows.stream()
            .filter(row -> row.answers() != null && row.gone() == null)
            .collect(Collectors.groupingBy(RemarkMapper.Row::answers));
    List<RemarkThread> shown = new ArrayList<>();
    for (RemarkMapper.Row row : rows) {
      List<RemarkMapper.Row> its = answers.getOrDefault(row.id(), List.of());
      if (row.answers() == null && (row.gone() == null || !its.isEmpty())) {
        shown.add(
            shown(
                who,
                row,
                names,
                its.stream().map(one -> shown(who, one, names, List.of())).toList()));
      }
    }
    return shown;
  }

  /**
   * A remark of a colleague that mentions the reader.
   *
   * @param publication row number of the work as it is known now
   */
  public record Mention(String remark, int publication, String by, String text, Instant at) {}

  /** Remarks that mention the member and wait for an answer or a look, the latest first. */
  public List<Mention> mentioning(Member who, int most) {
    return mapper.mentioning(who.id(), most).stream()
        .map(
            row ->
                new Mention(
                    row.pid(),
                    row.publication(),
                    row.name() == null ? "A former member" : row.name(),
                    row.body(),
                    row.at()))
        .toList();
  }

  private RemarkThread shown(
      Member who, RemarkMapper.Row row, Map<Integer, String> names, List<RemarkThread> answers) {
    boolean mine = row.membership() == who.id();
    return new RemarkThread(
        row.pid(),
        name(names, row.membership()),
        row.gone() == null ? row.body() : null,
        row.at(),
        row.changed(),
        mine,
        mine && !row.at().plus(Remarks.CHANGEABLE).isBefore(calendar.now()),
        row.settled(),
        row.settledBy() == null ? null : name(names, row.settledBy()),
        answers);
  }

  private static String name(Map<Integer, String> names, int membership) {
    return names.getOrDefault(membership, "a former member");
  }
}
