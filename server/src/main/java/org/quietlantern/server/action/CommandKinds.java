package org.quietlantern.server.action;

import java.util.List;

/** A service that carries out commands. */
public interface CommandKinds {
  /** All kinds that it carries out. */
  List<CommandKind<?, ?>> kinds();
}
