package org.quietlantern.core.citation.csl;

import java.text.Normalizer;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;

/** Letters that are raised by themselves become letters that are set raised. */
final class Raised {
  private static final Pattern RAISED = Pattern.compile("[ª²³¹ºʰ-ʸˀˁˠ-ˤᴬ-ᵡᵸᶛ-ᶿ⁰-ⁿ℠™㆒-㆟ۥۦ]");

  /** Those that Unicode does not say to be another one, raised. */
  private static final Map<String, String> ALONE =
      Map.of("\u02c0", "\u0294", "\u02c1", "\u0295", "\u06e5", "\u0648", "\u06e6", "\u064a");

  private Raised() {}

  /** Words with such letters, in pieces; the same words where there are none. */
  static List<Output> split(Output.Words words) {
    List<Output> pieces = new ArrayList<>();
    StringBuilder plain = new StringBuilder();
    for (int i = 0; i < words.text.length(); i++) {
      String letter = words.text.substring(i, i + 1);
      String lowered =
          ALONE.getOrDefault(letter, Normalizer.normalize(letter, Normalizer.Form.NFKC));
      if (lowered.equals(letter) || !RAISED.matcher(letter).matches()) {
        plain.append(letter);
        continue;
      }
      add(pieces, plain, words.from);
      Output.Span raised = new Output.Span(List.of("vertical-align=sup"), "", true);
      raised.add(new Output.Words(lowered, words.from));
      pieces.add(raised);
    }
    if (pieces.isEmpty()) {
      return List.of(words);
    }
    add(pieces, plain, words.from);
    return pieces;
  }

  private static void add(List<Output> to, StringBuilder plain, Output.Words.From from) {
    if (plain.length() > 0) {
      to.add(new Output.Words(plain.toString(), from));
      plain.setLength(0);
    }
  }
}
