package org.quietlantern.core.reference;

import static java.util.Map.entry;

import java.text.Normalizer;
import java.util.Map;

/**
 * Reads text that was written for LaTeX: letters that were commands, markup that titles may have.
 * Commands that are not known are left out, and what they were given stays; nothing is carried out.
 */
final class LatexReader {
  /** Groups in groups; what is deeper is read as it stands. */
  private static final int DEEPEST = 60;

  private static final Map<String, String> ACCENTS = LatexLetters.turned(LatexLetters.ACCENTS);

  private static final Map<String, String> LETTERS = LatexLetters.turned(LatexLetters.LETTERS);

  /** Others that people write. */
  private static final Map<String, String> SIGNS =
      Map.ofEntries(
          entry("j", "ȷ"),
          entry("aa", "å"),
          entry("AA", "Å"),
          entry("dots", "…"),
          entry("textellipsis", "…"),
          entry("textendash", "–"),
          entry("textemdash", "—"),
          entry("textquoteleft", "‘"),
          entry("textquoteright", "’"),
          entry("textquotedblleft", "“"),
          entry("textquotedblright", "”"),
          entry("textbackslash", "\\"),
          entry("textasciitilde", "~"),
          entry("textasciicircum", "^"),
          entry("times", "×"),
          entry("pm", "±"),
          entry("euro", "€"),
          entry("alpha", "α"),
          entry("beta", "β"),
          entry("gamma", "γ"),
          entry("delta", "δ"),
          entry("epsilon", "ε"),
          entry("lambda", "λ"),
          entry("mu", "µ"),
          entry("pi", "π"),
          entry("sigma", "σ"),
          entry("omega", "ω"),
          entry("Delta", "Δ"),
          entry("Omega", "Ω"),
          entry("-", ""),
          entry("/", ""),
          entry(",", " "),
          entry(" ", " "),
          entry("\\", " "));

  private static final Map<String, String> MARKUP =
      Map.of(
          "textit",
          "i",
          "emph",
          "i",
          "textsl",
          "i",
          "textbf",
          "b",
          "textsuperscript",
          "sup",
          "textsubscript",
          "sub");

  /** Of a group: {@code {\it so}}. */
  private static final Map<String, String> SWITCHES =
      Map.of("it", "i", "em", "i", "itshape", "i", "sl", "i", "bf", "b", "bfseries", "b");

  private final String text;
  private int at;
  private int depth;
  private boolean math;

  private LatexReader(String text) {
    this.text = text;
  }

  static String read(String latex) {
    StringBuilder out = new StringBuilder();
    LatexReader reader = new LatexReader(latex);
    while (reader.at < latex.length()) {
      reader.group(out);
    }
    return Normalizer.normalize(out, Normalizer.Form.NFC).replaceAll("\\s+", " ").strip();
  }

  /** Up to the brace that closes it, or the end. */
  private void group(StringBuilder out) {
    String closing = "";
    depth++;
    while (at < text.length()) {
      char c = text.charAt(at++);
      if (c == '}') {
        break;
      } else if (c == '\\') {
        closing = command(out) + closing;
      } else if (c == '{' && depth < DEEPEST) {
        group(out);
      } else if (c != '{') {
        one(c, out);
      }
    }
    depth--;
    out.append(closing);
  }

  private void one(char c, StringBuilder out) {
    switch (c) {
      case '$' -> math = !math;
      case '~' -> out.append(' ');
      case '-' -> out.append(follows('-') ? follows('-') ? "—" : "–" : "-");
      case '`' -> out.append(follows('`') ? "“" : "‘");
      case '\'' -> out.append(follows('\'') ? "”" : "'");
      case '^', '_' -> {
        if (math) {
          tagged(c == '^' ? "sup" : "sub", out);
        } else {
          out.append(c);
        }
      }
      default -> out.append(c);
    }
  }

  private boolean follows(char c) {
    boolean there = at < text.length() && text.charAt(at) == c;
    at += there ? 1 : 0;
    return there;
  }

  /** What follows a backslash; answers what is to be closed at the end of the group. */
  private String command(StringBuilder out) {
    String name = name();
    if (ACCENTS.containsKey(name)) {
      accented(ACCENTS.get(name), out);
    } else if (SWITCHES.containsKey(name)) {
      out.append('<').append(SWITCHES.get(name)).append('>');
      return "</" + SWITCHES.get(name) + ">";
    } else if (MARKUP.containsKey(name)) {
      tagged(MARKUP.get(name), out);
    } else if (LETTERS.containsKey(name)) {
      out.append(LETTERS.get(name));
    } else if (SIGNS.containsKey(name)) {
      out.append(SIGNS.get(name));
    } else if (name.length() == 1 && !Character.isLetter(name.charAt(0))) {
      out.append(name);
    }
    return "";
  }

  private String name() {
    int from = at;
    while (at < text.length() && isLetter(text.charAt(at))) {
      at++;
    }
    if (at == from) {
      at = Math.min(text.length(), at + 1);
      return text.substring(from, at);
    }
    String name = text.substring(from, at);
    while (at < text.length() && Character.isWhitespace(text.charAt(at))) {
      at++;
    }
    return name;
  }

  private static boolean isLetter(char c) {
    return (c >= 'a' && c <= 'z') || (c >= 'A' && c <= 'Z');
  }

  private void accented(String accent, StringBuilder out) {
    String letter = argument().replace('ı', 'i').replace('ȷ', 'j');
    int first = letter.isEmpty() ? 0 : letter.offsetByCodePoints(0, 1);
    // Behind marks that the letter has already.
    while (first < letter.length()
        && Character.getType(letter.charAt(first)) == Character.NON_SPACING_MARK) {
      first++;
    }
    out.append(letter, 0, first)
        .append(letter.isEmpty() ? "" : accent)
        .append(letter.substring(first));
  }

  private void tagged(String tag, StringBuilder out) {
    out.append('<').append(tag).append('>').append(argument()).append("</").append(tag).append('>');
  }

  /** A group, a command or one letter. */
  private String argument() {
    StringBuilder out = new StringBuilder();
    while (at < text.length() && text.charAt(at) == ' ') {
      at++;
    }
    if (at < text.length() && text.charAt(at) != '}') {
      char c = text.charAt(at++);
      if (c == '{' && depth < DEEPEST) {
        group(out);
      } else if (c == '\\' && depth < DEEPEST) {
        depth++;
        out.append(command(out));
        depth--;
      } else {
        out.append(c);
      }
    }
    return out.toString();
  }
}
