package org.quietlantern.server.mending;

import java.time.Instant;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
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
import org.springframework.stereotype.Service;

/** Entries that somebody compared with the work itself (rule C6). */
@Service
public class Compared implements CommandKinds {
  private static final int MOST = 2_000;
  private final CommandKind<Ticked, Before> tick =
      new CommandKind<>("entry.check", Ticked.class, Before.class, this::back);
  private final MendMapper mapper;
  private final Mends mends;
  private final Publications publications;
  private final Commands commands;
  private final Calendar calendar;

  /** How many entries were ticked, or are not any more. */
  public record Ticked(int count, boolean checked) {}

  /** Who compared an entry, and when. */
  public record CheckedBy(String by, Instant at) {}

  record Before(List<Integer> publications, List<MendMapper.KeptCheck> kept) {}

  Compared(
      MendMapper mapper,
      Mends mends,
      Publications publications,
      Commands commands,
      Calendar calendar) {
    this.mapper = mapper;
    this.mends = mends;
    this.publications = publications;
    this.commands = commands;
    this.calendar = calendar;
  }

  /** Those of some works that were compared as they are read now, by row number. */
  public static Map<Integer, CheckedBy> of(Collection<Publications.State> works, Mends.Said said) {
    Map<Integer, CheckedBy> compared = new HashMap<>();
    for (Publications.State work : works) {
      Mends.Tick tick = said.ticks().get(work.id());
      if (tick != null && tick.state() == state(work.id(), work.digest(), said.mended())) {
        compared.put(work.id(), new CheckedBy(tick.by(), tick.at()));
      }
    }
    return compared;
  }

  /** Of what is supplied, and of what the group reads instead. */
  private static long state(int work, long digest, Map<Integer, List<Mends.Mended>> mended) {
    List<String> reads =
        mended.getOrDefault(work, List.of()).stream()
            .map(one -> one.mend().field().word() + "=" + one.mend().value())
            .toList();
    return digest * 31 + reads.hashCode();
  }

  /** Ticks entries as compared, or takes that back. */
  public Ticked tick(Member who, UUID command, List<String> pids, boolean checked) {
    return commands.run(
        who,
        command,
        tick,
        () -> {
          List<StoredPublication> works = publications.getAll(Viewer.of(who), pids, MOST);
          List<Integer> ids = works.stream().map(StoredPublication::id).toList();
          Map<Integer, List<Mends.Mended>> mended = mends.of(who, ids);
          Integer[] rows = ids.toArray(Integer[]::new);
          List<MendMapper.KeptCheck> before = mapper.keptChecks(who.group(), rows);
          mapper.uncheck(who.group(), rows);
          if (checked) {
            works.forEach(
                work ->
                    mapper.check(
                        who.group(),
                        new MendMapper.KeptCheck(
                            work.id(),
                            state(work.id(), work.digest(), mended),
                            who.id(),
                            calendar.now())));
          }
          return CommandResult.of(new Ticked(works.size(), checked), new Before(ids, before))
              .changing(ids.stream().map(id -> "checked:" + id).toList())
              .about(Subject.Of.PUBLICATION, works.stream().map(StoredPublication::pid).toList());
        });
  }

  private String back(Member who, UUID command, Before before) {
    mapper.uncheck(who.group(), before.publications().toArray(Integer[]::new));
    before.kept().forEach(row -> mapper.check(who.group(), row));
    return "";
  }

  @Override
  public List<CommandKind<?, ?>> kinds() {
    return List.of(tick);
  }
}
