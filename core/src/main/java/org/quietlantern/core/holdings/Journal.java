package org.quietlantern.core.holdings;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * What is known of a journal. What is not known is empty.
 *
 * @param issn without it a journal is not told from others
 * @param since the year of its first volume
 * @param peerReviewedFrom year since which its articles are reviewed before they appear; empty:
 *     they are not
 * @param former what it was called before
 */
public record Journal(
    String issn,
    String title,
    String publisher,
    String discipline,
    Optional<Integer> since,
    Optional<Integer> peerReviewedFrom,
    List<Former> former) {
  public Journal {
    former = List.copyOf(former);
  }

  /** A title that it had until a year, if that is known. */
  public record Former(String title, Optional<Integer> until) {}

  /** What it is and was called, the present title first. */
  public List<String> titles() {
    return Stream.concat(Stream.of(title), former.stream().map(Former::title)).toList();
  }

  /** The letter that its title stands under; {@code #} for digits and signs. */
  public String letter() {
    String letters = JournalNames.words(title).stream().findFirst().orElse("#");
    char first = Character.toUpperCase(letters.charAt(0));
    return first >= 'A' && first <= 'Z' ? String.valueOf(first) : "#";
  }
}
