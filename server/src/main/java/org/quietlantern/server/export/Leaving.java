package org.quietlantern.server.export;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Works that leave together.
 *
 * @param name of what they are
 * @param order in which they stand, for people
 * @param works row numbers in their order, each once
 * @param unknown ids that were asked for and name no work
 * @param offered what of them may go along for whoever asks
 * @param said what members said of some of them
 */
record Leaving(
    String name,
    String order,
    List<Integer> works,
    List<String> unknown,
    Set<Part> offered,
    SaidOf said) {

  /** Works that are read at once. */
  private static final int PAGE = 500;

  /** The first so many of them. */
  List<Integer> listed(int most) {
    return works.subList(0, Math.min(most, works.size()));
  }

  /** The same with others in their place. */
  Leaving with(String otherOrder, List<Integer> others) {
    return new Leaving(name, otherOrder, others, unknown, offered, said);
  }

  /** All works, some at a time. */
  List<List<Integer>> pages() {
    List<List<Integer>> pages = new ArrayList<>();
    for (int from = 0; from < works.size(); from += PAGE) {
      pages.add(works.subList(from, Math.min(from + PAGE, works.size())));
    }
    return pages;
  }

  /** Notes and annotation of a work, by its row number; of what nothing was said there is none. */
  interface SaidOf {
    Map<Integer, Said> of(Collection<Integer> works, Set<Part> parts);
  }

  /** {@code annotation}: empty for none. */
  record Said(List<String> notes, String annotation) {
    static final Said NOTHING = new Said(List.of(), "");
  }
}
