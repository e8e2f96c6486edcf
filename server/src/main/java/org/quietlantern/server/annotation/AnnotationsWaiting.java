package org.quietlantern.server.annotation;

import java.util.List;
import org.quietlantern.server.folder.Folders;
import org.quietlantern.server.group.Member;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What of annotations waits for a member. */
@Service
public class AnnotationsWaiting {
  private final AnnotationMapper mapper;

  /**
   * In one folder.
   *
   * @param toBeRead annotations of others that are to be read, of which nothing is open
   * @param remarks open ones on what the member writes
   */
  public record WaitingInFolder(Folders.FolderName folder, int toBeRead, int remarks) {}

  AnnotationsWaiting(AnnotationMapper mapper) {
    this.mapper = mapper;
  }

  /** In folders that the member may change, by name. */
  @Transactional(readOnly = true)
  public List<WaitingInFolder> of(Member who, int most) {
    return mapper.waiting(who.id(), most).stream()
        .map(
            row ->
                new WaitingInFolder(
                    new Folders.FolderName(row.folder(), row.name()),
                    row.toBeRead(),
                    row.remarks()))
        .toList();
  }
}
