package org.quietlantern.server.action;

import java.util.List;

/** A service whose commands can be taken back. */
public interface Undoable {
  List<Undoer<?>> undoers();
}
