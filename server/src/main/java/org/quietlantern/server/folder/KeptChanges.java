package org.quietlantern.server.folder;

import java.time.Instant;
import java.util.List;
import org.quietlantern.server.group.Member;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * What happened since to works that are kept (rule N3): to whoever sees them that one was retracted
 * or corrected, to those who kept it also that it appeared, can be read by everybody, or that no
 * source supplies it any more.
 */
@Service
public class KeptChanges {
  private final KeptChangesMapper mapper;

  /**
   * A kept work that changed.
   *
   * @param publication row number of the work as it is known now
   * @param kinds in which respects, by the words of core
   * @param folder the first of those in which it is kept
   */
  public record KeptChange(
      int publication, List<String> kinds, Folders.FolderName folder, Instant at) {}

  KeptChanges(KeptChangesMapper mapper) {
    this.mapper = mapper;
  }

  /** What a member has not opened since, the latest first. */
  @Transactional(readOnly = true)
  public List<KeptChange> of(Member who, int most) {
    return since(who, Instant.EPOCH, most);
  }

  /** The same of what changed after a moment. */
  @Transactional(readOnly = true)
  public List<KeptChange> since(Member who, Instant moment, int most) {
    return mapper.of(who.id(), moment, most).stream()
        .map(
            row ->
                new KeptChange(
                    row.publication(),
                    List.of(row.kinds()),
                    new Folders.FolderName(row.folder(), row.folderName()),
                    row.at()))
        .toList();
  }
}
