package org.quietlantern.server.review;

import java.time.Instant;
import java.util.List;
import org.quietlantern.core.review.Lamp;
import org.quietlantern.core.review.Mark;

/** What a member says of an occasion: the mark in force. {@code member} is a row number. */
public record CurrentMark(int member, Mark mark, String reason, Instant at) {

  /** The lamp of one member (row number) among what everybody said. */
  public static Lamp lampOf(int member, List<CurrentMark> said) {
    return said.stream()
        .filter(s -> s.member() == member)
        .map(s -> s.mark().lamp())
        .findFirst()
        .orElse(Lamp.UNLIT);
  }
}
