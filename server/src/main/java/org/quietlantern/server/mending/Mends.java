package org.quietlantern.server.mending;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.quietlantern.core.activity.Aspect;
import org.quietlantern.core.citation.check.CitedField;
import org.quietlantern.core.citation.check.Mend;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.core.publication.Text;
import org.quietlantern.server.action.CommandKind;
import org.quietlantern.server.action.CommandKinds;
import org.quietlantern.server.action.CommandResult;
import org.quietlantern.server.action.Commands;
import org.quietlantern.server.action.Subject;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.StoredPublication;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Refusal;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What a group reads differently than it is supplied (rule C3). */
@Service
public class Mends implements CommandKinds {
  /** Fields that are mended in one act. */
  private static final int MOST = 2_000;

  private static final int LONGEST = 20_000;
  private static final int NAMED = 10;
  private final CommandKind<MendsSet, Before> set =
      new CommandKind<>("mend.set", MendsSet.class, Before.class, this::back);
  private final MendMapper mapper;
  private final Publications publications;
  private final Commands commands;
  private final Calendar calendar;

  /**
   * What is to be read in a field.
   *
   * @param was what the group read there, as it was seen
   * @param value what it reads from now on; what is supplied takes the mend back
   */
  public record MendWanted(String publication, String field, String was, String value) {}

  /** How many fields were mended. */
  public record MendsSet(int count) {}

  /** A mend, with who did it and when. */
  public record Mended(Mend mend, String by, Instant at) {}

  /** Of each field that was mended, what was there; nothing for none. */
  record Before(List<Field> fields) {}

  record Field(int publication, String field, List<MendMapper.Kept> kept) {}

  Mends(MendMapper mapper, Publications publications, Commands commands, Calendar calendar) {
    this.mapper = mapper;
    this.publications = publications;
    this.commands = commands;
    this.calendar = calendar;
  }

  /** Mends by row number of the work; those that do not count any more, too. */
  @Transactional(readOnly = true)
  public Map<Integer, List<Mended>> of(Member who, Collection<Integer> works) {
    return of(who.group(), works);
  }

  /** Likewise, for what a group (row number) shows to others. */
  @Transactional(readOnly = true)
  public Map<Integer, List<Mended>> of(int group, Collection<Integer> works) {
    return mapper.mends(group, works.toArray(Integer[]::new)).stream()
        .collect(
            Collectors.groupingBy(
                MendMapper.SaidRow::publication,
                Collectors.mapping(Mends::mended, Collectors.toList())));
  }

  /** That somebody compared an entry with the work, in which state. */
  public record Tick(long state, String by, Instant at) {}

  /** What a group says of some works, by row number: mends as {@link #of} has them, and ticks. */
  public record Said(Map<Integer, List<Mended>> mended, Map<Integer, Tick> ticks) {}

  /** Mends, and which works were compared; as one statement. */
  @Transactional(readOnly = true)
  public Said said(int group, Collection<Integer> works) {
    Said said = new Said(new HashMap<>(), new HashMap<>());
    for (MendMapper.SaidRow row : mapper.said(group, works.toArray(Integer[]::new))) {
      if (row.state() == null) {
        said.mended().computeIfAbsent(row.publication(), p -> new ArrayList<>()).add(mended(row));
      } else {
        said.ticks().put(row.publication(), new Tick(row.state(), row.name(), row.at()));
      }
    }
    return said;
  }

  private static Mended mended(MendMapper.SaidRow row) {
    return new Mended(
        new Mend(CitedField.named(row.field()).orElseThrow(), row.supplied(), row.value()),
        row.name(),
        row.at());
  }

  /** A work as the group reads it. */
  public static Publication read(StoredPublication stored, Map<Integer, List<Mended>> mends) {
    return Mend.read(
        stored.publication(),
        mends.getOrDefault(stored.id(), List.of()).stream().map(Mended::mend).toList());
  }

  /**
   * A field of a work.
   *
   * @param words what it is called
   * @param supplied by its sources
   * @param reads what the group reads
   * @param by who mended it; absent where nobody did
   * @param counts whether the mend counts; it does not where the source has changed the field since
   */
  public record FieldRead(
      String field,
      String words,
      String supplied,
      String reads,
      @Nullable String by,
      @Nullable Instant at,
      boolean counts) {}

  /** All fields of a work that can be mended, as they are supplied and read. */
  @Transactional(readOnly = true)
  public List<FieldRead> fields(Member who, String pid) {
    StoredPublication work = publications.get(Viewer.of(who), pid);
    Map<Integer, List<Mended>> mends = of(who, List.of(work.id()));
    Publication reads = read(work, mends);
    return Arrays.stream(CitedField.values())
        .map(
            field -> {
              Optional<Mended> mended =
                  mends.getOrDefault(work.id(), List.of()).stream()
                      .filter(one -> one.mend().field() == field)
                      .findFirst();
              return new FieldRead(
                  field.word(),
                  field.words(),
                  field.of(work.publication()),
                  field.of(reads),
                  mended.map(Mended::by).orElse(null),
                  mended.map(Mended::at).orElse(null),
                  mended.map(one -> one.mend().counts(work.publication())).orElse(true));
            })
        .toList();
  }

  /** Mends some fields as one act; refused where one reads otherwise than it was seen. */
  public MendsSet set(Member who, UUID command, List<MendWanted> wanted) {
    return set(who, command, () -> wanted);
  }

  /** As above, where what is wanted is found out within the act. */
  public MendsSet set(Member who, UUID command, Supplier<List<MendWanted>> wanted) {
    return commands.run(who, command, set, () -> mend(who, wanted.get()));
  }

  private CommandResult<MendsSet, Before> mend(Member who, List<MendWanted> wanted) {
    if (wanted == null || wanted.isEmpty() || wanted.size() > MOST) {
      throw Refusal.unusable("mends", "One field at least is mended in an act, and 2,000 at most.");
    }
    List<String> pids = wanted.stream().map(MendWanted::publication).toList();
    Map<String, StoredPublication> works = publications.byAskedPid(Viewer.of(who), pids);
    if (!works.keySet().containsAll(pids)) {
      throw Refusal.unknown();
    }
    Map<Integer, List<Mended>> mends =
        of(who, works.values().stream().map(StoredPublication::id).toList());
    List<Field> before = new ArrayList<>();
    List<String> changed = new ArrayList<>();
    for (MendWanted one : wanted) {
      StoredPublication work = works.get(one.publication());
      CitedField field = field(one);
      String read = field.of(read(work, mends));
      if (!read.equals(one.was())) {
        throw Refusal.conflict(
            "changed-since",
            "The %s of “%s” reads “%s” by now; look at it again."
                .formatted(field.words(), work.publication().title(), read));
      }
      before.add(put(who, work, field, one.value()));
      changed.add("mend:" + work.id() + ":" + field.word());
    }
    CommandResult<MendsSet, Before> done =
        CommandResult.of(new MendsSet(wanted.size()), new Before(before))
            .changing(changed)
            .about(Subject.Of.PUBLICATION, pids.stream().distinct().toList());
    for (MendWanted one : wanted.subList(0, Math.min(NAMED, wanted.size()))) {
      done = done.differing(Aspect.CITED_AS, one.was(), clean(one.value()));
    }
    return done;
  }

  private static CitedField field(MendWanted wanted) {
    CitedField field =
        CitedField.named(wanted.field())
            .orElseThrow(() -> Refusal.unusable("field", "There is no such field to be mended."));
    String value = clean(wanted.value());
    String refused =
        value.length() > LONGEST ? "It has at most 20,000 characters." : field.refused(value);
    if (!refused.isEmpty()) {
      throw Refusal.unusable("mend", refused);
    }
    return field;
  }

  private static String clean(String value) {
    return value == null ? "" : Text.legal(value).strip();
  }

  /** Answers what was there. */
  private Field put(Member who, StoredPublication work, CitedField field, String wanted) {
    String value = clean(wanted);
    String supplied = field.of(work.publication());
    Field before =
        new Field(work.id(), field.word(), mapper.kept(who.group(), work.id(), field.word()));
    if (value.equals(supplied)) {
      mapper.remove(who.group(), work.id(), field.word());
    } else {
      mapper.put(
          who.group(),
          new MendMapper.Kept(work.id(), field.word(), supplied, value, who.id(), calendar.now()));
    }
    return before;
  }

  private String back(Member who, UUID command, Before before) {
    // The last first: one act may have mended a field twice.
    List<Field> fields = new ArrayList<>(before.fields());
    Collections.reverse(fields);
    for (Field field : fields) {
      mapper.remove(who.group(), field.publication(), field.field());
      field.kept().forEach(kept -> mapper.put(who.group(), kept));
    }
    return "";
  }

  @Override
  public List<CommandKind<?, ?>> kinds() {
    return List.of(set);
  }
}
