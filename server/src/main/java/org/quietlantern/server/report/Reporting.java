package org.quietlantern.server.report;

import java.util.List;
import org.quietlantern.core.report.Document;
import org.quietlantern.server.group.Member;

/** Tells one sort of thing in writing. */
interface Reporting {
  /** What the names that it tells begin with, as {@code trail:}. */
  List<String> prefixes();

  /** Refused as unknown where there is nothing of that name. */
  Document of(Member who, String name);
}
