package org.quietlantern.server.activity;

import java.time.Instant;
import java.util.List;
import org.quietlantern.server.platform.Nullable;

/**
 * Something that was done, in words with links.
 *
 * @param who the person’s name; absent: the lantern itself
 * @param words with <code>{publications}</code> and the sorts of things, each where it stands
 * @param things in the order in which the words take them
 * @param publications how many are concerned
 * @param some the first of them
 * @param times how often it was done
 */
public record DeedShown(
    @Nullable String who,
    String words,
    List<ThingNamed> things,
    int publications,
    List<ThingNamed> some,
    int times,
    Instant at) {

  /** {@code name}: absent where it is gone, or not the reader's to see. */
  public record ThingNamed(String of, String id, @Nullable String name) {}
}
