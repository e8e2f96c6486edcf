package org.quietlantern.server.holdings;

import com.fasterxml.jackson.annotation.JsonIgnore;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.quietlantern.core.holdings.Lender;
import org.quietlantern.core.publication.Kind;
import org.quietlantern.core.publication.Text;
import org.quietlantern.server.action.CommandKind;
import org.quietlantern.server.action.CommandKinds;
import org.quietlantern.server.action.CommandResult;
import org.quietlantern.server.action.Commands;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Editions;
import org.quietlantern.server.platform.Json;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Refusal;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Who lends copies to a group, and of what: the first library that takes a work is asked. */
@Service
public class Lenders implements CommandKinds {
  private static final int LONGEST = 200;
  private static final int MOST = 20;
  private static final int FIRST_YEAR = 1000;
  private static final int LAST_YEAR = 2999;
  private final CommandKind<LenderShown[], LenderShown[]> kind =
      new CommandKind<>("lenders.set", LenderShown[].class, LenderShown[].class, this::back);
  private final HoldingsMapper mapper;
  private final Commands commands;
  private final Editions editions;
  private final Json json;

  /**
   * A library that lends.
   *
   * @param name as people call it; no two have the same
   * @param address that takes requests (docs/formats.md); empty: members carry them there
   * @param kinds of publications that it takes requests for
   * @param since the first year of publication; absent: any
   * @param until the last year
   * @param cost of a copy, in words; empty where nobody says
   */
  public record LenderShown(
      @Nullable String name,
      @Nullable String address,
      @Nullable List<String> kinds,
      @Nullable Integer since,
      @Nullable Integer until,
      @Nullable String cost) {

    /** At the address that one of the same name has. */
    private LenderShown as(List<LenderShown> others) {
      return others.stream()
          .filter(other -> known(other.name).equals(known(name)))
          .findFirst()
          .map(other -> new LenderShown(name, other.address, kinds, since, until, cost))
          .orElse(this);
    }

    /** Whether members carry requests there. */
    @JsonIgnore
    public boolean isByHand() {
      return known(address).isEmpty();
    }

    /** What it takes requests for. */
    public Lender rule() {
      Set<Kind> lent = EnumSet.noneOf(Kind.class);
      known(kinds).forEach(word -> Kind.named(word).ifPresent(lent::add));
      return new Lender(known(name), lent, Optional.ofNullable(since), Optional.ofNullable(until));
    }
  }

  Lenders(HoldingsMapper mapper, Commands commands, Editions editions, Json json) {
    this.mapper = mapper;
    this.commands = commands;
    this.editions = editions;
    this.json = json;
  }

  /** In the order in which they are asked. */
  @Transactional(readOnly = true)
  public List<LenderShown> of(int group) {
    return List.of(json.read(mapper.lenders(group), LenderShown[].class));
  }

  /** The same as rules; the caller keeps them for an edition. */
  public List<Lender> rules(int group) {
    return of(group).stream().map(LenderShown::rule).toList();
  }

  /** Empty for one to which members carry requests, and for one that lends no more. */
  @Transactional(readOnly = true)
  public String address(int group, String name) {
    return of(group).stream()
        .filter(lender -> known(lender.name()).equals(name))
        .map(lender -> known(lender.address()))
        .findFirst()
        .orElse("");
  }

  /** All of them anew, in the order in which they are to be asked. Coordinators only. */
  List<LenderShown> set(Member who, UUID command, List<LenderShown> wanted) {
    who.requireCoordinator("A coordinator of the group says who lends to it.");
    LenderShown[] clean = clean(wanted);
    return List.of(
        commands.run(
            who,
            command,
            kind,
            () -> {
              LenderShown[] before = of(who.group()).toArray(LenderShown[]::new);
              put(who.group(), clean);
              return CommandResult.of(clean, before).changing(List.of("lenders"));
            }));
  }

  /**
   * For an installation that sets a group up: where nobody said who lends, these; else those of
   * them that are known are at these addresses now.
   */
  @Transactional
  public void moved(int group, List<LenderShown> libraries) {
    List<LenderShown> now = of(group);
    boolean isUnsaid = now.size() == 1 && known(now.get(0).name()).isEmpty();
    List<LenderShown> next = isUnsaid ? libraries : now.stream().map(l -> l.as(libraries)).toList();
    put(group, next.toArray(LenderShown[]::new));
  }

  private String back(Member who, UUID command, LenderShown[] before) {
    put(who.group(), before);
    return "";
  }

  private void put(int group, LenderShown[] lenders) {
    mapper.lend(group, json.write(lenders));
    editions.next(Editions.Kind.HOLDINGS);
  }

  private static String known(@Nullable String text) {
    return text == null ? "" : text;
  }

  private static List<String> known(@Nullable List<String> texts) {
    return texts == null ? List.of() : texts;
  }

  private static LenderShown[] clean(List<LenderShown> wanted) {
    if (wanted.size() > MOST) {
      throw Refusal.unusable("lenders", "A group has no more than %d libraries.".formatted(MOST));
    }
    LenderShown[] clean = wanted.stream().map(Lenders::clean).toArray(LenderShown[]::new);
    if (Arrays.stream(clean).map(LenderShown::name).distinct().count() < clean.length) {
      throw Refusal.unusable("name", "Two libraries have the same name.");
    }
    return clean;
  }

  private static LenderShown clean(LenderShown wanted) {
    String name = Text.atMost(LONGEST, Text.clean(known(wanted.name())));
    String cost = Text.atMost(LONGEST, Text.clean(known(wanted.cost())));
    String address = LibraryLinks.address(wanted.address());
    List<String> kinds = known(wanted.kinds());
    for (String one : kinds) {
      if (Kind.named(one).isEmpty()) {
        throw Refusal.unusable("kinds", "There is no kind “%s”.".formatted(Text.atMost(50, one)));
      }
    }
    Integer since = year(wanted.since());
    Integer until = year(wanted.until());
    if (since != null && until != null && since > until) {
      throw Refusal.unusable("until", "The last year lies before the first.");
    }
    return new LenderShown(name, address, kinds.stream().distinct().toList(), since, until, cost);
  }

  private static @Nullable Integer year(@Nullable Integer typed) {
    if (typed != null && (typed < FIRST_YEAR || typed > LAST_YEAR)) {
      throw Refusal.unusable("year", "A year has four digits.");
    }
    return typed;
  }

  @Override
  public List<CommandKind<?, ?>> kinds() {
    return List.of(kind);
  }
}
