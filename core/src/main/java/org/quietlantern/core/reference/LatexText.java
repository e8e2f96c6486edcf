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

  /** Marks that combine with the letter before. */
  private static final Map<Character, String> ACCENTS =
      Map.ofEntries(
          Map.entry('\u0300', "`"),
          Map.entry('\u0301', "'"),
          Map.entry('\u0302', "^"),
          Map.entry('\u0303', "~"),
          Map.entry('\u0304', "="),
          Map.entry('\u0306', "u"),
          Map.entry('\u0307', "."),
          Map.entry('\u0308', "\""),
          Map.entry('\u030a', "r"),
          Map.entry('\u030b', "H"),
          Map.entry('\u030c', "v"),
          Map.entry('\u0323', "d"),
          Map.entry('\u0327', "c"),
          Map.entry('\u0328', "k"),
          Map.entry('\u0331', "b"));

  private static final Map<Character, String> LETTERS =
      Map.ofEntries(
          Map.entry('ß', "{\\ss}"),
          Map.entry('æ', "{\\ae}"),
          Map.entry('Æ', "{\\AE}"),
          Map.entry('œ', "{\\oe}"),
          Map.entry('Œ', "{\\OE}"),
          Map.entry('ø', "{\\o}"),
          Map.entry('Ø', "{\\O}"),
          Map.entry('ł', "{\\l}"),
          Map.entry('Ł', "{\\L}"),
          Map.entry('ı', "{\\i}"),
          Map.entry('đ', "{\\dj}"),
          Map.entry('Đ', "{\\DJ}"),
          Map.entry('ð', "{\\dh}"),
          Map.entry('Ð', "{\\DH}"),
          Map.entry('þ', "{\\th}"),
          Map.entry('Þ', "{\\TH}"),
          Map.entry('–', "--"),
          Map.entry('—', "---"),
          Map.entry('‘', "`"),
          Map.entry('’', "'"),
          Map.entry('“', "``"),
          Map.entry('”', "''"),
          Map.entry('…', "{\\ldots}"),
          Map.entry('«', "{\\guillemotleft}"),
          Map.entry('»', "{\\guillemotright}"),
          Map.entry('°', "{\\textdegree}"),
          Map.entry('×', "{\\texttimes}"),
          Map.entry('±', "{\\textpm}"),
          Map.entry('µ', "{\\textmu}"),
          Map.entry('€', "{\\texteuro}"),
          Map.entry('\u00a0', "~"));

  private static final Pattern TAG = Pattern.compile("<(/?)(i|b|sup|sub)>");

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
      String letter = LETTERS.getOrDefault(apart.charAt(at), sign(apart.charAt(at)));
      at++;
      // The first accent is the innermost.
      for (; at < apart.length() && ACCENTS.containsKey(apart.charAt(at)); at++) {
        letter = "{\\%s{%s}}".formatted(ACCENTS.get(apart.charAt(at)), letter);
      }
      out.append(letter);
    }
    return Normalizer.normalize(out, Normalizer.Form.NFC);
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
