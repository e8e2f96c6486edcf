package org.quietlantern.core.citation.csl;

import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Text cases (specification, <i>Text-case</i>); what is marked to keep its case keeps it. */
final class TextCase {
  /** Words that stay small in titles (specification, <i>Title Case Conversion</i>). */
  private static final Set<String> STOP =
      Set.of(
          "a",
          "about",
          "according to",
          "across",
          "afore",
          "after",
          "against",
          "along",
          "amid",
          "among",
          "an",
          "and",
          "anenst",
          "apropos",
          "apud",
          "around",
          "as",
          "aside",
          "astride",
          "at",
          "athwart",
          "atop",
          "barring",
          "before",
          "behind",
          "below",
          "beneath",
          "beside",
          "besides",
          "between",
          "beyond",
          "but",
          "by",
          "c",
          "ca",
          "circa",
          "d",
          "de",
          "despite",
          "down",
          "during",
          "et",
          "except",
          "for",
          "forenenst",
          "from",
          "given",
          "in",
          "inside",
          "into",
          "lest",
          "like",
          "modulo",
          "near",
          "next",
          "nor",
          "notwithstanding",
          "of",
          "off",
          "on",
          "onto",
          "or",
          "out",
          "over",
          "per",
          "plus",
          "pro",
          "qua",
          "sans",
          "since",
          "so",
          "than",
          "the",
          "through",
          "throughout",
          "thru",
          "till",
          "to",
          "toward",
          "towards",
          "under",
          "underneath",
          "until",
          "unto",
          "up",
          "upon",
          "v",
          "van",
          "versus",
          "via",
          "vis-à-vis",
          "von",
          "vs",
          "with",
          "within",
          "without",
          "worth",
          "yet");

  private static final Pattern WORD = Pattern.compile("[\\p{L}\\p{M}\\p{N}’'`]+(?:\\.[\\p{L}]+)*");

  private TextCase() {}

  /**
   * @param language of the words; empty: unknown. Titles are put into title case in English alone,
   *     and letters have the capitals of their language.
   */
  static void apply(String textCase, Output to, String language) {
    Locale letters = Locale.forLanguageTag(language);
    boolean english = language.startsWith("en");
    switch (textCase) {
      case "lowercase" -> each(to, false, words -> words.text = words.text.toLowerCase(letters));
      case "uppercase" -> each(to, false, words -> words.text = words.text.toUpperCase(letters));
      case "capitalize-first" -> first(to, false);
      case "sentence" -> sentence(to);
      case "capitalize-all" -> each(to, false, words -> words.text = all(words.text));
      case "title" -> {
        if (english) {
          title(to);
        }
      }
      default -> {}
    }
  }

  private static boolean isKept(Output.Span span) {
    return span.decorations.contains(Markup.NO_CASE)
        || span.decorations.contains(Markup.NO_DECORATION);
  }

  /** What is marked so, and what is raised, lowered or in small capitals in a field. */
  private static boolean keepsCase(Output.Span span) {
    return isKept(span)
        || (span.ofField
            && span.decorations.stream()
                .anyMatch(one -> one.matches("vertical-align.*|font-variant.*")));
  }

  private interface Change {
    void change(Output.Words words);
  }

  private static void each(Output of, boolean kept, Change change) {
    if (of instanceof Output.Words words) {
      if (!kept) {
        change.change(words);
      }
    } else if (of instanceof Output.Span span) {
      boolean keeps = kept || keepsCase(span);
      span.children.forEach(child -> each(child, keeps, change));
    }
  }

  /** Answers whether a letter was met. */
  private static boolean first(Output of, boolean kept) {
    if (of instanceof Output.Words words) {
      Matcher word = WORD.matcher(words.text);
      if (!word.find()) {
        return false;
      }
      if (!kept) {
        words.text = raised(words.text, word.start());
      }
      return true;
    }
    Output.Span span = (Output.Span) of;
    boolean keeps = kept || isKept(span);
    return span.children.stream().anyMatch(child -> first(child, keeps));
  }

  private static void sentence(Output of) {
    String plain = Output.plain(of);
    boolean allCapitals = plain.equals(plain.toUpperCase(Locale.ROOT));
    if (allCapitals) {
      each(of, false, words -> words.text = words.text.toLowerCase(Locale.ROOT));
    }
    first(of, false);
  }

  private static String all(String text) {
    Matcher word = WORD.matcher(text);
    String result = text;
    while (word.find()) {
      result = isLower(word.group()) ? raised(result, word.start()) : result;
    }
    return result;
  }

  /** Runs over words of all spans, as one title. */
  private static void title(Output of) {
    List<Output.Words> words = Output.words(of);
    String plain = Output.plain(of);
    boolean allCapitals =
        plain.equals(plain.toUpperCase(Locale.ROOT)) && plain.matches("(?s).*\\p{L}.*\\s.*");
    Set<Output.Words> kept = new java.util.HashSet<>(words);
    each(of, false, kept::remove);
    int last = lastWord(plain);
    int offset = 0;
    boolean begins = true;
    for (Output.Words one : words) {
      String text =
          allCapitals && !kept.contains(one) ? one.text.toLowerCase(Locale.ROOT) : one.text;
      Matcher word = WORD.matcher(text);
      String result = text;
      int end = 0;
      while (word.find()) {
        String between = text.substring(end, word.start());
        begins = begins || between.matches("(?s).*(: |[?!]\\s|\\. ).*");
        boolean isStop = STOP.contains(word.group().toLowerCase(Locale.ROOT));
        boolean isLast = offset + word.start() == last;
        boolean hyphened = word.start() > 0 && text.charAt(word.start() - 1) == '-';
        boolean beforeHyphen = word.end() < text.length() && text.charAt(word.end()) == '-';
        boolean ofNumber =
            hyphened && word.start() > 1 && Character.isDigit(text.charAt(word.start() - 2));
        if (!kept.contains(one) && isLower(word.group()) && !ofNumber) {
          if (begins || isLast || !isStop || (beforeHyphen && !hyphened)) {
            result = raised(result, word.start());
          }
        } else if (!kept.contains(one)
            && isStop
            && !begins
            && !isLast
            && isCapitalized(word.group())) {
          result =
              result.substring(0, word.start())
                  + word.group().toLowerCase(Locale.ROOT)
                  + result.substring(word.end());
        }
        begins = false;
        end = word.end();
      }
      String tail = text.substring(end);
      begins = begins || tail.matches("(?s).*(: |[?!]\\s|\\. )$");
      offset += one.text.length();
      one.text = result;
    }
  }

  private static int lastWord(String plain) {
    Matcher word = WORD.matcher(plain);
    int last = -1;
    while (word.find()) {
      last = word.start();
    }
    return last;
  }

  private static boolean isLower(String word) {
    return word.equals(word.toLowerCase(Locale.ROOT));
  }

  private static boolean isCapitalized(String word) {
    return word.length() > 1 && isLower(word.substring(1));
  }

  private static String raised(String text, int at) {
    int first = text.codePointAt(at);
    return text.substring(0, at)
        + new String(Character.toChars(first)).toUpperCase(Locale.ROOT)
        + text.substring(at + Character.charCount(first));
  }
}
