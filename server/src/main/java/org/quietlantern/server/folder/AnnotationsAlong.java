package org.quietlantern.server.folder;

import java.time.Instant;
import java.util.List;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.PublicIds;
import org.springframework.stereotype.Component;

/**
 * What is said of a work below its entry goes along when the work goes to another folder. Where
 * something is said of it there already, it is told there as a remark.
 */
@Component
class AnnotationsAlong {
  private final AnnotationsAlongMapper mapper;
  private final PublicIds ids;
  private final Calendar calendar;

  /**
   * Row numbers of annotations that went or came, of remarks that tell of others, and of what is
   * quoted through the works.
   */
  record Along(List<Integer> annotations, List<Integer> told, List<Integer> quoted) {
    private static final Along NONE = new Along(List.of(), List.of(), List.of());

    /** Nothing for acts that were noted before annotations went along. */
    static Along noted(@Nullable Along along) {
      return along == null ? NONE : along;
    }
  }

  AnnotationsAlong(AnnotationsAlongMapper mapper, PublicIds ids, Calendar calendar) {
    this.mapper = mapper;
    this.ids = ids;
    this.calendar = calendar;
  }

  /** Works (row numbers) that went from one folder to another, or came there too. */
  Along went(int from, int to, List<Integer> works, boolean leaves) {
    Integer[] all = works.toArray(Integer[]::new);
    List<Integer> there = mapper.inBoth(from, to, all);
    Instant now = calendar.now();
    List<Integer> told = there.stream().map(one -> mapper.tell(one, to, ids.next(), now)).toList();
    return leaves
        ? new Along(mapper.move(from, to, all), told, mapper.moveQuoted(from, to, all))
        : new Along(copied(from, to, all), told, copiedQuoted(from, to, all));
  }

  private List<Integer> copiedQuoted(int from, int to, Integer[] works) {
    return mapper.quoted(from, works).stream()
        .map(one -> mapper.copyQuoted(one, to, ids.next()))
        .toList();
  }

  private List<Integer> copied(int from, int to, Integer[] works) {
    List<Integer> made = mapper.copy(from, to, works);
    mapper.copyWordings(made.toArray(Integer[]::new));
    return made;
  }

  /** {@code from}: where those lie that went; they go back to where they were. */
  void back(@Nullable Along went, int from, int to) {
    Along along = Along.noted(went);
    mapper.forgetTold(along.told().toArray(Integer[]::new));
    mapper.goBack(along.annotations().toArray(Integer[]::new), from, to);
    mapper.quotedGoBack(along.quoted().toArray(Integer[]::new), from, to);
  }

  /** Takes copies away again. */
  void forget(@Nullable Along copied) {
    Along along = Along.noted(copied);
    mapper.forgetTold(along.told().toArray(Integer[]::new));
    mapper.forget(along.annotations().toArray(Integer[]::new));
    mapper.forgetQuoted(along.quoted().toArray(Integer[]::new));
  }
}
