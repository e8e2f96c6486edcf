package org.quietlantern.server.folder;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import org.quietlantern.server.platform.Nullable;

/** What somebody may do in a folder; each takes in those before it (rule R4). */
public enum FolderRight {
  READ,
  /** Read, and say something of what is in it. */
  REMARK,
  EDIT;

  /** In lower case, as in the database and in addresses. */
  public String word() {
    return name().toLowerCase(Locale.ROOT);
  }

  public boolean allows(FolderRight wanted) {
    return compareTo(wanted) >= 0;
  }

  /** Empty where there is no such right. */
  static Optional<FolderRight> read(@Nullable String word) {
    return Arrays.stream(values()).filter(one -> one.word().equals(word)).findFirst();
  }
}
