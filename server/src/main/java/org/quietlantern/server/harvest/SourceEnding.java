package org.quietlantern.server.harvest;

import java.util.List;
import java.util.UUID;
import org.quietlantern.core.publication.SourceRecord;
import org.quietlantern.server.action.CommandKind;
import org.quietlantern.server.action.CommandKinds;
import org.quietlantern.server.action.CommandResult;
import org.quietlantern.server.action.Commands;
import org.quietlantern.server.catalogue.Catalogue;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Refusal;
import org.quietlantern.server.platform.SystemTime;
import org.springframework.stereotype.Service;

/** Asks a source for everything again, or ends it: then what it supplied is taken back. */
@Service
class SourceEnding implements CommandKinds {
  private static final String WHO = "A steward of the installation ends sources.";

  private final CommandKind<SourceKeeping.SourceAdded, CommandKind.Nothing> end =
      CommandKind.forGood(
          "source.end",
          SourceKeeping.SourceAdded.class,
          "What it supplied is taken back. It can be asked for everything again.");
  private final CommandKind<SourceKeeping.SourceAdded, CommandKind.Nothing> whole =
      CommandKind.forGood(
          "source.whole",
          SourceKeeping.SourceAdded.class,
          "It was asked for everything. It can be paused or ended.");

  private final SourceMapper mapper;
  private final Commands commands;
  private final Groups groups;
  private final Taking taking;
  private final Calendar calendar;
  private final SystemTime system;

  /**
   * What ending a source would do.
   *
   * @param records that it supplies now
   * @param publications that nobody else supplies, which would be withdrawn
   */
  record EndingShown(int records, int publications) {}

  SourceEnding(
      SourceMapper mapper,
      Commands commands,
      Groups groups,
      Taking taking,
      Calendar calendar,
      SystemTime system) {
    this.mapper = mapper;
    this.commands = commands;
    this.groups = groups;
    this.taking = taking;
    this.calendar = calendar;
    this.system = system;
  }

  EndingShown look(String key) {
    return mapper.ending(row(key));
  }

  SourceKeeping.SourceAdded end(Member who, UUID command, String key) {
    groups.requireSteward(who, WHO);
    return commands.run(
        who,
        command,
        end,
        () -> {
          mapper.end(row(key), calendar.now());
          return CommandKind.done(new SourceKeeping.SourceAdded(key))
              .changing(List.of("source:" + key));
        });
  }

  /** At the next chance; what broke off is not gone on with. One that was ended begins again. */
  SourceKeeping.SourceAdded whole(Member who, UUID command, String key) {
    groups.requireSteward(who, WHO);
    return commands.run(who, command, whole, () -> wholeAgain(key));
  }

  private CommandResult<SourceKeeping.SourceAdded, CommandKind.Nothing> wholeAgain(String key) {
    int source = row(key);
    if (mapper.isUnderWay(source)) {
      throw Refusal.conflict(
          "under-way", "It is being harvested now. Pause it first, or wait until that has ended.");
    }
    mapper.forgetUnfinished(source);
    if (mapper.askForAll(source, system.now()) == 0) {
      throw Refusal.unusable("files", "Files are loaded into it; it has no address to be asked.");
    }
    return CommandKind.done(new SourceKeeping.SourceAdded(key)).changing(List.of("source:" + key));
  }

  private int row(String key) {
    Integer source = mapper.row(key);
    if (source == null) {
      throw Refusal.unknown();
    }
    return source;
  }

  /** Of sources that were ended; killed half-way, it goes on with what is left. */
  void takeBack() {
    for (int source : mapper.ended()) {
      List<String> page = mapper.supplied(source, Catalogue.MOST);
      while (!page.isEmpty()) {
        String now = calendar.now().toString();
        taking.take(
            source, page.stream().map(id -> new SourceRecord(id, "", "", now, true)).toList());
        page = mapper.supplied(source, Catalogue.MOST);
      }
    }
  }

  @Override
  public List<CommandKind<?, ?>> kinds() {
    return List.of(end, whole);
  }
}
