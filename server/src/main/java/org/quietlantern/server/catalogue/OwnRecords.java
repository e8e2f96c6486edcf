package org.quietlantern.server.catalogue;

import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.quietlantern.core.publication.ChangeKind;
import org.quietlantern.core.publication.SameWork;
import org.quietlantern.core.publication.SourceRecord;
import org.quietlantern.server.platform.Calendar;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Records of a group's own source: what they would come to, and what people decided of them. */
@Service
public class OwnRecords {
  private final CatalogueMapper mapper;
  private final Candidates candidates;
  private final PageWriter writer;
  private final Calendar calendar;

  OwnRecords(CatalogueMapper mapper, Candidates candidates, PageWriter writer, Calendar calendar) {
    this.mapper = mapper;
    this.candidates = candidates;
    this.writer = writer;
    this.calendar = calendar;
  }

  /**
   * What becomes of a record of a group's own when it is taken; works by row number.
   *
   * @param known whether it is there already, as it is
   * @param work that it is of, if that is here; {@code key}: by which kind of key they meet
   * @param doubtful those that it may be of, for a person to decide
   */
  public record Foreseen(
      boolean known, Optional<Integer> work, String key, List<Integer> doubtful) {}

  /** How records of a group's own source would be taken, in their order; nothing is written. */
  @Transactional(readOnly = true)
  public List<Foreseen> foresee(int source, List<SourceRecord> records) {
    CatalogueMapper.Supplier supplier = mapper.supplier(source);
    Map<String, WorkRecord> members = new LinkedHashMap<>();
    records.forEach(
        record -> members.put(record.identifier(), WorkRecord.of(record, supplier.rank(), 0)));
    Apart apart = candidates.apart(supplier.grp());
    List<Works> all =
        List.of(
            candidates.load(Viewer.NOBODY.group(), source, members, Apart.NOTHING),
            candidates.load(supplier.grp(), source, members, apart));
    Map<String, Integer> known = placed(source, members.keySet());
    return records.stream()
        .map(
            record -> {
              String identifier = record.identifier();
              return known.containsKey(identifier)
                  ? new Foreseen(true, Optional.of(known.get(identifier)), "", List.of())
                  : foresee(all, new Work.Name(source, identifier), members.get(identifier), apart);
            })
        .toList();
  }

  private static Foreseen foresee(List<Works> all, Work.Name name, WorkRecord member, Apart apart) {
    List<Work> doubtful = new ArrayList<>();
    for (Works works : all) {
      Map<SameWork.Likeness, List<Work>> like = works.like(name, member, apart);
      Optional<Work> same =
          like.getOrDefault(SameWork.Likeness.SAME, List.of()).stream().findFirst();
      if (same.isPresent()) {
        return new Foreseen(false, same.get().id(), key(member, same.get()), List.of());
      }
      doubtful.addAll(like.getOrDefault(SameWork.Likeness.DOUBTFUL, List.of()));
    }
    String key = doubtful.isEmpty() ? "" : key(member, doubtful.get(0));
    return new Foreseen(
        false, Optional.empty(), key, doubtful.stream().flatMap(w -> w.id().stream()).toList());
  }

  /** The kind of the first key that a record and a work have both: {@code doi}. */
  private static String key(WorkRecord member, Work work) {
    return member.keys().stream()
        .filter(key -> work.members().stream().anyMatch(other -> other.keys().contains(key)))
        .map(key -> key.substring(0, key.indexOf(':')))
        .findFirst()
        .orElse("");
  }

  /** Works (row numbers) that records of a source stand under, without those taken back. */
  @Transactional(readOnly = true)
  public Map<String, Integer> placed(int source, Collection<String> identifiers) {
    return mapper.placed(source, identifiers.toArray(String[]::new)).stream()
        .collect(
            Collectors.toMap(CatalogueMapper.Placed::identifier, CatalogueMapper.Placed::work));
  }

  /** Puts a record under the work (row number) that a person said it is of, for good. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void place(int source, SourceRecord record, int publication) {
    mapper.lock();
    Integer under = mapper.under(source, record.identifier());
    if (under != null && under != publication) {
      // It stood elsewhere before it was taken back: all that is left there goes along.
      mapper.merge(under, publication);
      mapper.noteJoin(under, publication, source, calendar.now());
      mapper.number(under, new String[] {ChangeKind.JOINED.word()}, calendar.now());
    }
    WorkRecord member = WorkRecord.of(record, mapper.supplier(source).rank(), Long.MAX_VALUE);
    writer.keep(
        source, calendar.now(), List.of(new PageWriter.Placed(member, Optional.of(publication))));
  }

  /**
   * Records that were taken back: where they stood under a shared work it is open again what they
   * are.
   */
  @Transactional(propagation = Propagation.MANDATORY)
  public void letGo(int source, Collection<String> identifiers) {
    mapper.lock();
    mapper.letGo(source, identifiers.toArray(String[]::new));
  }

  /** Keeps a record apart from works (row numbers) that a person said it is not of, for good. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void keepApart(int source, String identifier, Collection<Integer> publications) {
    mapper.keepApart(source, identifier, publications.toArray(Integer[]::new));
  }
}
