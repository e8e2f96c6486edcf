package org.quietlantern.server.holdings;

import java.util.List;
import java.util.UUID;
import org.quietlantern.core.publication.Text;
import org.quietlantern.server.action.CommandKind;
import org.quietlantern.server.action.CommandKinds;
import org.quietlantern.server.action.CommandResult;
import org.quietlantern.server.action.Commands;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Outbound;
import org.quietlantern.server.platform.Refusal;
import org.springframework.stereotype.Service;

/** Where a group's library finds texts for OpenURLs: its link resolver. */
@Service
class LibraryLinks implements CommandKinds {
  private static final int LONGEST = 200;
  private final CommandKind<LibraryShown, LibraryShown> kind =
      new CommandKind<>("library.set", LibraryShown.class, LibraryShown.class, this::back);
  private final HoldingsMapper mapper;
  private final Commands commands;

  /**
   * A library with a resolver.
   *
   * @param name as people call it
   * @param address behind which an OpenURL is put; empty: it has none
   */
  record LibraryShown(@Nullable String name, @Nullable String address) {}

  LibraryLinks(HoldingsMapper mapper, Commands commands) {
    this.mapper = mapper;
    this.commands = commands;
  }

  LibraryShown of(Member who) {
    return new LibraryShown(who.library(), who.resolver());
  }

  LibraryShown set(Member who, UUID command, LibraryShown wanted) {
    who.requireCoordinator(GroupHoldings.COORDINATORS);
    LibraryShown clean = clean(wanted);
    return commands.run(
        who,
        command,
        kind,
        () -> {
          mapper.link(who.group(), clean.name(), clean.address());
          return CommandResult.of(clean, of(who)).changing(List.of("library"));
        });
  }

  private String back(Member who, UUID command, LibraryShown before) {
    mapper.link(who.group(), before.name(), before.address());
    return "";
  }

  private static LibraryShown clean(LibraryShown wanted) {
    String name = Text.atMost(LONGEST, Text.clean(wanted.name() == null ? "" : wanted.name()));
    return new LibraryShown(name, address(wanted.address()));
  }

  /** An address as it was typed, empty for none; what is neither is refused. */
  static String address(@Nullable String typed) {
    String address = typed == null ? "" : typed.strip();
    if (!address.isEmpty() && !Outbound.isWeb(address)) {
      throw Refusal.unusable("address", "This is no address: https:// and what follows.");
    }
    return address;
  }

  @Override
  public List<CommandKind<?, ?>> kinds() {
    return List.of(kind);
  }
}
