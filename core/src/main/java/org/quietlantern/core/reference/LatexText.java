package org.quietlantern.core.reference;

import java.text.Normalizer;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** Text as LaTeX reads it. */
final class LatexText {
  private static final Map<Character, String> SIGNS =
      Map.ofEntries(
          Map.entry('\\', "\\textbackslash{}"),
          Map.entry('{', "\\{"),
          Map.entry('}', "\\}"),
          Map.entry('$', "\\$"),
          Map.entry('&', "\\&"),
          Map.entry('#', "\\#"),
          Map.entry('_', "\\_"),
          Map.entry('%', "\\%"),
          Map.entry('~', "\\textasciitilde{}"),
          Map.entry('^', "\\textasciicircum{}"));

  /** Signs of print that are written with others. */
  private static final Map<Character, String> PRINT =
      Map.of('–', "--", '—', "---", '‘', "`", '’', "'", '“', "``", '”', "''", '\u00a0', "~");

  static final Pattern TAG = Pattern.compile("<(/?)(i|b|sup|sub)>");

  private static final Map<String, String> COMMANDS =
      Map.of(
          "i",
          "\\textit{",
          "b",
          "\\textbf{",
          "sup",
          "\\textsuperscript{",
          "sub",
          "\\textsubscript{");

  private final boolean commands;

  /** {@code commands}: whether letters beyond ASCII are written as commands. */
  LatexText(boolean commands) {
    this.commands = commands;
  }

  /** A text without markup. */
  String plain(String text) {
    if (!commands) {
      return text.chars().mapToObj(c -> sign((char) c)).collect(Collectors.joining());
    }
    StringBuilder out = new StringBuilder();
    String apart = Normalizer.normalize(text, Normalizer.Form.NFD);
    int at = 0;
    while (at < apart.length()) {
      String letter = letter(apart.charAt(at));
      at++;
      // The first accent is the innermost.
      for (; at < apart.length() && LatexLetters.ACCENTS.containsKey(apart.charAt(at)); at++) {
        letter = "{\\%s{%s}}".formatted(LatexLetters.ACCENTS.get(apart.charAt(at)), letter);
      }
      out.append(letter);
    }
    return Normalizer.normalize(out, Normalizer.Form.NFC);
  }

  private static String letter(char c) {
    String command = LatexLetters.LETTERS.get(c);
    return command != null ? "{\\" + command + "}" : PRINT.getOrDefault(c, sign(c));
  }

  private static String sign(char c) {
    return SIGNS.getOrDefault(c, String.valueOf(c));
  }

  /** A text with markup; tags that do not close in their order are words. */
  String marked(String text) {
    return isBalanced(text) ? tagged(text) : plain(text);
  }

  private static boolean isBalanced(String text) {
    Deque<String> open = new ArrayDeque<>();
    Matcher tag = TAG.matcher(text);
    while (tag.find()) {
      if (tag.group(1).isEmpty()) {
        open.push(tag.group(2));
      } else if (!tag.group(2).equals(open.poll())) {
        return false;
      }
    }
    return open.isEmpty();
  }

  private String tagged(String text) {
    StringBuilder out = new StringBuilder();
    Matcher tag = TAG.matcher(text);
    int at = 0;
    while (tag.find()) {
      out.append(plain(text.substring(at, tag.start())));
      out.append(tag.group(1).isEmpty() ? COMMANDS.get(tag.group(2)) : "}");
      at = tag.end();
    }
    return out.append(plain(text.substring(at))).toString();
  }
}
