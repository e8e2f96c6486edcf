package org.quietlantern.server.review;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
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

/**
 * What members say to have read of a work. It is said, never concluded from what somebody opened,
 * and lights no lamp.
 */
@Service
public class Readings implements CommandKinds {
  private static final String NOTHING = "nothing";
  private static final List<String> EXTENTS = List.of(NOTHING, "abstract", "text");
  private final CommandKind<ReadSaid, Before> say =
      CommandKind.of("reading.say", ReadSaid.class, Before.class, this::sayAgain);
  private final ReadingsMapper mapper;
  private final Publications publications;
  private final Commands commands;
  private final Calendar calendar;

  /** {@code extent}: {@code nothing}, {@code abstract} or {@code text}. */
  public record ReadSaid(String extent) {}

  /** For an undo: what was said before, and when. */
  record Before(int membership, int publication, String extent, @Nullable Instant at) {}

  /**
   * A member who read it.
   *
   * @param extent {@code abstract} or {@code text}
   */
  public record ReadShown(String member, String name, String extent, Instant at) {}

  Readings(ReadingsMapper mapper, Publications publications, Commands commands, Calendar calendar) {
    this.mapper = mapper;
    this.publications = publications;
    this.commands = commands;
    this.calendar = calendar;
  }

  /** Says what of a work the member has read; {@code nothing} takes back what was said. */
  public ReadSaid say(Member who, UUID command, String pid, String extent) {
    if (!EXTENTS.contains(extent)) {
      throw Refusal.unusable("extent", "What is read is the abstract or the text.");
    }
    return commands.run(
        who,
        command,
        say,
        () -> {
          StoredPublication stored = publications.get(Viewer.of(who), pid);
          Optional<ReadingsMapper.Row> said =
              mapper.of(who.group(), stored.id()).stream()
                  .filter(row -> row.membership() == who.id())
                  .findFirst();
          Before before =
              new Before(
                  who.id(),
                  stored.id(),
                  said.map(ReadingsMapper.Row::extent).orElse(NOTHING),
                  said.map(ReadingsMapper.Row::at).orElse(null));
          mapper.add(who.id(), stored.id(), extent, calendar.now());
          return CommandResult.of(new ReadSaid(extent), before)
              .changing(List.of("read:" + stored.id() + ":" + who.id()))
              .about(Subject.Of.PUBLICATION, List.of(stored.pid()));
        });
  }

  private String sayAgain(Before before) {
    Instant at = before.at() == null ? calendar.now() : before.at();
    mapper.add(before.membership(), before.publication(), before.extent(), at);
    return "";
  }

  /**
   * The most that anybody of a group has read of a work, and who.
   *
   * @param extent {@code text}, or {@code abstract} where nobody read the text
   */
  public record BestRead(String extent, List<String> by) {}

  /** By row number; works that nobody read are left out. Whoever is from outside learns nothing. */
  @Transactional(readOnly = true)
  public Map<Integer, BestRead> best(Member who, Collection<Integer> publications) {
    return who.onlyFolders()
        ? Map.of()
        : mapper.ofAll(who.group(), publications.toArray(Integer[]::new)).stream()
            .collect(
                Collectors.groupingBy(
                    ReadingsMapper.ReadRow::publication,
                    Collectors.collectingAndThen(Collectors.toList(), Readings::best)));
  }

  private static BestRead best(List<ReadingsMapper.ReadRow> said) {
    String most = said.stream().anyMatch(row -> row.extent().equals("text")) ? "text" : "abstract";
    return new BestRead(
        most,
        said.stream()
            .filter(row -> row.extent().equals(most))
            .map(ReadingsMapper.ReadRow::name)
            .toList());
  }

  /** Who of a group read a work; former members are left out. */
  @Transactional(readOnly = true)
  public List<ReadShown> of(Member who, StoredPublication stored, Map<Integer, Member> members) {
    return mapper.of(who.group(), stored.id()).stream()
        .filter(row -> members.containsKey(row.membership()))
        .map(row -> shown(row, members.get(row.membership())))
        .toList();
  }

  private static ReadShown shown(ReadingsMapper.Row row, Member member) {
    return new ReadShown(member.pid(), member.name(), row.extent(), row.at());
  }

  @Override
  public List<CommandKind<?, ?>> kinds() {
    return List.of(say);
  }
}
