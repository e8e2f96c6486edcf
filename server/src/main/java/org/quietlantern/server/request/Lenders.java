package org.quietlantern.server.request;

import java.util.List;
import java.util.UUID;
import org.quietlantern.core.publication.Kind;
import org.quietlantern.core.publication.Text;
import org.quietlantern.server.action.CommandKind;
import org.quietlantern.server.action.CommandKinds;
import org.quietlantern.server.action.CommandResult;
import org.quietlantern.server.action.Commands;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.holdings.GroupHoldings;
import org.quietlantern.server.platform.Editions;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Outbound;
import org.quietlantern.server.platform.Refusal;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Who lends copies to a group, and of what. */
@Service
public class Lenders implements CommandKinds {
  private static final int LONGEST = 200;
  private final CommandKind<LenderShown, LenderShown> kind =
      new CommandKind<>("lender.set", LenderShown.class, LenderShown.class, this::back);
  private final RequestMapper mapper;
  private final GroupHoldings holdings;
  private final Commands commands;
  private final Editions editions;

  /**
   * A library that lends.
   *
   * @param name as people call it
   * @param address that takes requests (docs/formats.md); empty: members carry them there
   * @param kinds of publications that it takes requests for
   * @param cost of a copy, in words; empty where nobody says
   */
  public record LenderShown(
      @Nullable String name,
      @Nullable String address,
      @Nullable List<String> kinds,
      @Nullable String cost) {}

  Lenders(RequestMapper mapper, GroupHoldings holdings, Commands commands, Editions editions) {
    this.mapper = mapper;
    this.holdings = holdings;
    this.commands = commands;
    this.editions = editions;
  }

  @Transactional(readOnly = true)
  public LenderShown of(Member who) {
    return of(who.group());
  }

  private LenderShown of(int group) {
    RequestMapper.Lender lender = mapper.lender(group);
    List<String> kinds = holdings.of(group).lent().stream().map(Kind::word).toList();
    return new LenderShown(lender.name(), lender.address(), kinds, lender.cost());
  }

  LenderShown set(Member who, UUID command, LenderShown wanted) {
    who.requireCoordinator("A coordinator of the group says who lends to it.");
    LenderShown clean = clean(wanted);
    return commands.run(
        who,
        command,
        kind,
        () -> {
          LenderShown before = of(who.group());
          put(who.group(), clean);
          return CommandResult.of(of(who.group()), before).changing(List.of("lender"));
        });
  }

  /** The same for an installation that sets a group up; another library stays. */
  @Transactional
  public void moved(int group, String name, String address) {
    LenderShown now = of(group);
    if (now.name().isEmpty() || now.name().equals(name)) {
      put(group, new LenderShown(name, address, now.kinds(), now.cost()));
    }
  }

  private String back(Member who, UUID command, LenderShown before) {
    put(who.group(), before);
    return "";
  }

  private void put(int group, LenderShown lender) {
    mapper.lend(
        group,
        lender.name(),
        lender.address(),
        lender.kinds().toArray(String[]::new),
        known(lender.cost()));
    editions.next(Editions.Kind.HOLDINGS);
  }

  /** What was noted before anybody could say it has none. */
  private static String known(@Nullable String text) {
    return text == null ? "" : text;
  }

  private static LenderShown clean(LenderShown wanted) {
    String name = Text.atMost(LONGEST, Text.clean(known(wanted.name())));
    String cost = Text.atMost(LONGEST, Text.clean(known(wanted.cost())));
    String address = known(wanted.address()).strip();
    if (!address.isEmpty() && !Outbound.isWeb(address)) {
      throw Refusal.unusable("address", "This is no address: https:// and what follows.");
    }
    List<String> kinds = wanted.kinds() == null ? List.of() : wanted.kinds();
    for (String one : kinds) {
      if (Kind.named(one).isEmpty()) {
        throw Refusal.unusable("kinds", "There is no kind “%s”.".formatted(Text.atMost(50, one)));
      }
    }
    return new LenderShown(name, address, kinds.stream().distinct().toList(), cost);
  }

  @Override
  public List<CommandKind<?, ?>> kinds() {
    return List.of(kind);
  }
}
