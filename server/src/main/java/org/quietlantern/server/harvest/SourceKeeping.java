package org.quietlantern.server.harvest;

import java.text.Normalizer;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.UUID;
import org.quietlantern.server.action.CommandKind;
import org.quietlantern.server.action.CommandKinds;
import org.quietlantern.server.action.CommandResult;
import org.quietlantern.server.action.Commands;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Refusal;
import org.quietlantern.server.platform.SystemTime;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Stewards add sources and look after them. */
@Service
public class SourceKeeping implements CommandKinds {
  private static final Set<Integer> EVERY = Set.of(1, 6, 24, 168, 720);
  private static final int LONGEST_NAME = 120;
  private static final int LONGEST_SET = 200;
  private static final int LONGEST_KEY = 40;
  private static final String WHO = "A steward of the installation looks after sources.";

  /**
   * What a source is to be.
   *
   * @param set the part of it that is harvested; empty: all
   * @param rank whose values are believed first: the lower the sooner
   * @param abstractsOpen whether its abstracts may be shown to anyone
   * @param everyHours how often it is harvested: 1, 6, 24 (unless said), 168 or 720
   * @param hourFrom from which hour of UTC on, and until which; absent: at any
   */
  record SourceWanted(
      @Nullable String address,
      @Nullable String name,
      @Nullable String format,
      @Nullable String set,
      int rank,
      boolean abstractsOpen,
      @Nullable Integer everyHours,
      @Nullable Integer hourFrom,
      @Nullable Integer hourTo) {}

  /** What can be changed of a source that is there; {@code paused}: not harvested. */
  record SourceKept(
      @Nullable String name,
      int rank,
      boolean abstractsOpen,
      boolean paused,
      @Nullable Integer everyHours,
      @Nullable Integer hourFrom,
      @Nullable Integer hourTo) {}

  /** {@code key}: of the source. */
  record SourceAdded(String key) {}

  /** As it was. */
  record Before(String key, SourceKept kept) {}

  private final CommandKind<SourceAdded, CommandKind.Nothing> add =
      CommandKind.forGood(
          "source.add",
          SourceAdded.class,
          "What a source has supplied stays. It can be paused: then it supplies nothing more.");
  private final CommandKind<SourceAdded, Before> change =
      CommandKind.of("source.change", SourceAdded.class, Before.class, this::back);

  private final SourceMapper mapper;
  private final Commands commands;
  private final Groups groups;
  private final SourceLook look;
  private final SystemTime system;

  SourceKeeping(
      SourceMapper mapper, Commands commands, Groups groups, SourceLook look, SystemTime system) {
    this.mapper = mapper;
    this.commands = commands;
    this.groups = groups;
    this.look = look;
    this.system = system;
  }

  SourceLook.SourceLooked look(Member who, @Nullable String address) {
    groups.requireSteward(who, WHO);
    return look.look(address);
  }

  List<SourceLook.RecordTried> records(Member who, SourceWanted wanted) {
    groups.requireSteward(who, WHO);
    return look.records(wanted.address(), format(wanted), set(wanted));
  }

  /** Adds it and has it tried at the next chance. */
  SourceAdded add(Member who, UUID command, SourceWanted wanted) {
    groups.requireSteward(who, WHO);
    return commands.run(who, command, add, () -> added(wanted));
  }

  private CommandResult<SourceAdded, CommandKind.Nothing> added(SourceWanted wanted) {
    String name = name(wanted.name());
    String key = key(name);
    String address = SourceLook.base(wanted.address()).toString();
    if (mapper.isThere(address, set(wanted))) {
      throw Refusal.conflict("source-there", "This address is harvested already.");
    }
    mapper.add(
        new SourceMapper.NewSource(
            key,
            name,
            address,
            format(wanted),
            set(wanted),
            rank(wanted.rank()),
            wanted.abstractsOpen(),
            every(wanted.everyHours()),
            hour(wanted.hourFrom(), wanted.hourTo()),
            hour(wanted.hourTo(), wanted.hourFrom()),
            system.now()));
    return CommandKind.done(new SourceAdded(key)).changing(List.of("source:" + key));
  }

  /** Row number of the source of files with a name; made if it is not there. */
  @Transactional
  public int ofFiles(String name) {
    Integer source = mapper.ofFiles(name);
    return source == null ? mapper.addOfFiles(key(name), name) : source;
  }

  /** Row number of the source of a group's own, which members bring files into; made if need be. */
  @Transactional
  public int ofGroup(Member who) {
    Integer source = mapper.ofGroup(who.group());
    return source == null ? mapper.addOfGroup("own-" + who.groupPid(), who.group()) : source;
  }

  /** A source of the group's own for a feed of others; {@code key}: names it. */
  @Transactional
  public int ofFeed(Member who, String key, String name) {
    return mapper.addOfFeed(key, who.group(), name(name));
  }

  /** What a feed calls itself now. */
  @Transactional
  public void rename(int source, String name) {
    mapper.rename(source, name(name));
  }

  SourceAdded change(Member who, UUID command, String key, SourceKept wanted) {
    groups.requireSteward(who, WHO);
    return commands.run(who, command, change, () -> changed(key, wanted));
  }

  private CommandResult<SourceAdded, Before> changed(String key, SourceKept wanted) {
    SourceKept before = mapper.find(key);
    if (before == null) {
      throw Refusal.unknown();
    }
    change(key, wanted, before.paused());
    return CommandResult.of(new SourceAdded(key), new Before(key, before))
        .changing(List.of("source:" + key));
  }

  /** One that goes on after a pause is tried at the next chance. */
  private void change(String key, SourceKept wanted, boolean wasPaused) {
    mapper.change(
        new SourceMapper.Changed(
            key,
            name(wanted.name()),
            rank(wanted.rank()),
            wanted.abstractsOpen(),
            wanted.paused(),
            every(wanted.everyHours()),
            hour(wanted.hourFrom(), wanted.hourTo()),
            hour(wanted.hourTo(), wanted.hourFrom()),
            wasPaused && !wanted.paused() ? system.now() : null));
  }

  private String back(Before before) {
    SourceKept now = mapper.find(before.key());
    change(before.key(), before.kept(), now != null && now.paused());
    return "";
  }

  @Override
  public List<CommandKind<?, ?>> kinds() {
    return List.of(add, change);
  }

  private static String name(@Nullable String given) {
    String name = given == null ? "" : given.strip();
    if (name.isEmpty() || name.length() > LONGEST_NAME) {
      throw Refusal.unusable("name", "A source has a name of at most 120 characters.");
    }
    return name;
  }

  private static String format(SourceWanted wanted) {
    if (wanted.format() == null || !wanted.format().matches("[\\w.!~*'()-]{1,100}")) {
      throw Refusal.unusable("format", "A format of its records has to be chosen.");
    }
    return wanted.format();
  }

  private static String set(SourceWanted wanted) {
    String set = wanted.set() == null ? "" : wanted.set().strip();
    if (set.length() > LONGEST_SET) {
      throw Refusal.unusable("set", "The name of a set has at most 200 characters.");
    }
    return set;
  }

  private static int rank(int rank) {
    if (rank < 1 || rank > 99) {
      throw Refusal.unusable("rank", "A rank is a number from 1 to 99.");
    }
    return rank;
  }

  private static int every(@Nullable Integer hours) {
    int every = hours == null ? 24 : hours;
    if (!EVERY.contains(every)) {
      throw Refusal.unusable("every", "It is asked every 1, 6, 24, 168 or 720 hours.");
    }
    return every;
  }

  /** One of two that hold together. */
  private static @Nullable Integer hour(@Nullable Integer hour, @Nullable Integer other) {
    boolean none = hour == null && other == null;
    boolean both = isHour(hour) && isHour(other) && !hour.equals(other);
    if (!none && !both) {
      throw Refusal.unusable(
          "hours", "From one hour until another, each from 0 to 23, or neither.");
    }
    return hour;
  }

  private static boolean isHour(@Nullable Integer hour) {
    return hour != null && hour >= 0 && hour < 24;
  }

  /** As strategies name it, for good: its letters and digits, told apart where they are taken. */
  private String key(String name) {
    String letters =
        Normalizer.normalize(name, Normalizer.Form.NFD)
            .toLowerCase(Locale.ROOT)
            .replaceAll("\\p{M}", "")
            .replaceAll("[^a-z0-9]+", "-")
            .replaceAll("^-|-$", "");
    String base = letters.isEmpty() ? "source" : letters;
    String key = base.substring(0, Math.min(base.length(), LONGEST_KEY));
    String free = key;
    for (int n = 2; mapper.find(free) != null; n++) {
      free = key + "-" + n;
    }
    return free;
  }
}
