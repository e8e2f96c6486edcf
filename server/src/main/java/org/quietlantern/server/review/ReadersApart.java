package org.quietlantern.server.review;

import java.time.Instant;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.quietlantern.core.review.Apart;
import org.quietlantern.core.review.Mark;
import org.quietlantern.core.watch.Coming;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * Works on which members decide apart ({@link Apart}). What a mark on them truly says is kept
 * beside its event, where its writer alone reads it; the event says what is told. So whatever reads
 * events, now or later, cannot tell more.
 */
@Service
public class ReadersApart {
  private final ApartMapper mapper;
  private final Calendar calendar;

  ReadersApart(ApartMapper mapper, Calendar calendar) {
    this.mapper = mapper;
    this.calendar = calendar;
  }

  /** Of works (row numbers) of a group those, and on which occasions, that are decided on apart. */
  @Transactional(readOnly = true)
  public Set<Reviews.Comes> among(int group, Collection<Integer> works) {
    List<ApartMapper.Kept> kept = mapper.kept(group, works.toArray(Integer[]::new));
    if (kept.isEmpty()) {
      return Set.of();
    }
    int readers = mapper.readers(group);
    return kept.stream()
        .filter(one -> Apart.isKept(one.asked(), readers))
        .map(one -> new Reviews.Comes(one.work(), Coming.stored(one.kind(), one.key())))
        .collect(Collectors.toUnmodifiableSet());
  }

  /** Whether it is decided apart on a work (row number) that comes for the first time. */
  @Transactional(readOnly = true)
  public boolean isFirstAmong(int group, int work) {
    return among(group, List.of(work)).stream().anyMatch(one -> one.on().isFirst());
  }

  String title(int work) {
    return mapper.title(work);
  }

  void seal(int event, Mark mark, String reason, @Nullable Integer folder) {
    mapper.seal(event, mark.word(), reason, folder);
  }

  /** The folder (row number) into which a sealed keep of a member goes, if they have one. */
  @Transactional(readOnly = true)
  public Optional<Integer> keepsIn(Member who, Reviews.Comes marked) {
    Coming on = marked.on();
    return Optional.ofNullable(
        mapper.folderOf(who.id(), marked.publication(), on.occasion().word(), on.key()));
  }

  /**
   * A mark that was just opened, or was open already.
   *
   * @param keepsIn the folder (row number) that a keep goes into now; none where it was carried out
   *     before, or is none
   */
  public record OpenedMark(
      int membership, int event, Mark mark, String reason, @Nullable Integer keepsIn) {}

  /** The marks on a work, as they stood when they were opened. */
  public record Opened(int work, List<OpenedMark> marks) {}

  /**
   * Opens what is due of works of a group, as a part of what made it so.
   *
   * @param works row numbers
   */
  @Transactional(propagation = Propagation.MANDATORY)
  public List<Opened> openDue(int group, Collection<Integer> works) {
    Integer[] asked = works.toArray(Integer[]::new);
    Map<ApartMapper.On, List<ApartMapper.InForce>> sealed =
        mapper.inForce(group, asked).stream()
            .collect(
                Collectors.groupingBy(
                    ApartMapper.InForce::on, LinkedHashMap::new, Collectors.toList()));
    if (sealed.isEmpty()) {
      return List.of();
    }
    Map<ApartMapper.On, Integer> kept =
        mapper.kept(group, asked).stream()
            .collect(Collectors.toMap(ApartMapper.Kept::on, ApartMapper.Kept::asked));
    int readers = mapper.readers(group);
    return sealed.entrySet().stream()
        .filter(
            one ->
                Optional.ofNullable(kept.get(one.getKey()))
                    .map(needed -> Apart.isOver(marks(one.getValue()), needed, readers))
                    .orElse(true))
        .map(
            one ->
                open(
                    group,
                    one.getKey(),
                    one.getValue(),
                    Math.min(kept.getOrDefault(one.getKey(), 0), readers)))
        .toList();
  }

  private static List<Mark> marks(List<ApartMapper.InForce> said) {
    return said.stream().map(one -> Mark.named(one.what()).orElseThrow()).toList();
  }

  private Opened open(int group, ApartMapper.On on, List<ApartMapper.InForce> said, int asked) {
    mapper.tell(group, new Integer[] {on.work()}, on);
    int number = mapper.open(group, said.get(0).occasion(), asked, calendar.now());
    said.forEach(one -> mapper.note(number, one));
    return new Opened(
        on.work(),
        said.stream()
            .map(
                one ->
                    new OpenedMark(
                        one.membership(),
                        one.event(),
                        Mark.named(one.what()).orElseThrow(),
                        one.reason(),
                        one.folder()))
            .toList());
  }

  /** What was said of a work when it was opened; {@code asked}: how many had to decide. */
  public record Decided(int asked, Instant at, List<Apart.Verdict> said) {}

  /** What members decided apart of what an alert (row number) found; the first opened first. */
  @Transactional(readOnly = true)
  public List<Decided> decided(int group, int alert) {
    return mapper.opened(group, alert).stream()
        .collect(
            Collectors.groupingBy(
                ApartMapper.WasInForce::unsealing, LinkedHashMap::new, Collectors.toList()))
        .values()
        .stream()
        .map(
            its ->
                new Decided(
                    its.get(0).asked(),
                    its.get(0).at(),
                    its.stream()
                        .map(
                            one ->
                                new Apart.Verdict(
                                    one.membership(),
                                    Mark.named(one.what()).orElseThrow(),
                                    one.apart()))
                        .toList()))
        .toList();
  }

  /** Notes where an opened keep was put, so that taking it back takes it out. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void carriedOut(int event, int folder, int reason) {
    mapper.carriedOut(event, folder, reason);
  }

  /** Where the opening put a keep: row numbers of the folder and of the reason in it. */
  public record Carried(int folder, int reason) {}

  @Transactional(readOnly = true)
  public Optional<Carried> carried(int event) {
    return Optional.ofNullable(mapper.carried(event));
  }

  /** Works of a group on which something is sealed. */
  @Transactional(readOnly = true)
  public List<Integer> sealed(int group) {
    return mapper.sealed(group);
  }

  /** Groups in which something is sealed. */
  @Transactional(readOnly = true)
  public List<Integer> groups() {
    return mapper.groups();
  }
}
