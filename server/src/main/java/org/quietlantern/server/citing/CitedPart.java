package org.quietlantern.server.citing;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.quietlantern.core.citation.csl.Block;
import org.quietlantern.core.citation.csl.Run;
import org.quietlantern.core.citation.csl.Typeset;

/**
 * A part of a citation or of an entry.
 *
 * @param display {@code line}, {@code block}, {@code left-margin}, {@code right-inline} or {@code
 *     indent}
 */
public record CitedPart(String display, List<CitedRun> runs) {

  /**
   * Words that look alike.
   *
   * @param looks of {@code italic}, {@code bold}, {@code small-caps}, {@code underlined}, {@code
   *     superscript} and {@code subscript}
   */
  public record CitedRun(String text, List<String> looks) {}

  static List<CitedPart> of(Typeset set) {
    return of(set.blocks());
  }

  public static List<CitedPart> of(List<Block> blocks) {
    return blocks.stream().map(CitedPart::of).toList();
  }

  private static CitedPart of(Block block) {
    return new CitedPart(
        word(block.display()),
        block.runs().stream().map(run -> new CitedRun(run.text(), looks(run.look()))).toList());
  }

  private static List<String> looks(Run.Look look) {
    List<String> looks = new ArrayList<>();
    if (look.italic()) {
      looks.add("italic");
    }
    if (look.bold()) {
      looks.add("bold");
    }
    if (look.smallCaps()) {
      looks.add("small-caps");
    }
    if (look.underlined()) {
      looks.add("underlined");
    }
    if (look.level() != Run.Level.BASELINE) {
      looks.add(word(look.level()));
    }
    return looks;
  }

  private static String word(Enum<?> one) {
    return one.name().toLowerCase(Locale.ROOT).replace('_', '-');
  }
}
