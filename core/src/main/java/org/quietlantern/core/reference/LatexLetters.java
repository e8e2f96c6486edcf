package org.quietlantern.core.reference;

import static java.util.Map.entry;

import java.util.Map;
import java.util.stream.Collectors;

/** Letters and the commands of LaTeX that stand for them, for both ways. */
final class LatexLetters {
  /** Commands for marks that combine with a letter. */
  static final Map<Character, String> ACCENTS =
      Map.ofEntries(
          entry('\u0300', "`"),
          entry('\u0301', "'"),
          entry('\u0302', "^"),
          entry('\u0303', "~"),
          entry('\u0304', "="),
          entry('\u0306', "u"),
          entry('\u0307', "."),
          entry('\u0308', "\""),
          entry('\u030a', "r"),
          entry('\u030b', "H"),
          entry('\u030c', "v"),
          entry('\u0323', "d"),
          entry('\u0327', "c"),
          entry('\u0328', "k"),
          entry('\u0331', "b"));

  /** Commands for letters and signs of their own. */
  static final Map<Character, String> LETTERS =
      Map.ofEntries(
          entry('ß', "ss"),
          entry('æ', "ae"),
          entry('Æ', "AE"),
          entry('œ', "oe"),
          entry('Œ', "OE"),
          entry('ø', "o"),
          entry('Ø', "O"),
          entry('ł', "l"),
          entry('Ł', "L"),
          entry('ı', "i"),
          entry('đ', "dj"),
          entry('Đ', "DJ"),
          entry('ð', "dh"),
          entry('Ð', "DH"),
          entry('þ', "th"),
          entry('Þ', "TH"),
          entry('…', "ldots"),
          entry('«', "guillemotleft"),
          entry('»', "guillemotright"),
          entry('°', "textdegree"),
          entry('×', "texttimes"),
          entry('±', "textpm"),
          entry('µ', "textmu"),
          entry('€', "texteuro"));

  private LatexLetters() {}

  /** By command. */
  static Map<String, String> turned(Map<Character, String> commands) {
    return commands.entrySet().stream()
        .collect(Collectors.toMap(Map.Entry::getValue, one -> String.valueOf(one.getKey())));
  }
}
