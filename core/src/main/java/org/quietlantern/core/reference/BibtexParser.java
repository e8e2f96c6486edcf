package org.quietlantern.core.reference;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Takes the text of a {@code .bib} file apart into entries and their fields. What is broken is told
 * with its line; reading goes on with the next entry.
 */
final class BibtexParser {
  /** Letters of a field; what is put together of named strings could be any number. */
  private static final int LONGEST = 5_000_000;

  private static final Pattern NEXT = Pattern.compile("(?m)^[ \\t]*@[ \\t]*[a-zA-Z]+\\s*[{(]");
  private static final Pattern NAME = Pattern.compile("[^\\s=,{}()\"#%]+");
  private static final Pattern KEY = Pattern.compile("[^,}\\s]*");

  private static final Map<String, String> MONTHS =
      Map.ofEntries(
          Map.entry("jan", "1"),
          Map.entry("feb", "2"),
          Map.entry("mar", "3"),
          Map.entry("apr", "4"),
          Map.entry("may", "5"),
          Map.entry("jun", "6"),
          Map.entry("jul", "7"),
          Map.entry("aug", "8"),
          Map.entry("sep", "9"),
          Map.entry("oct", "10"),
          Map.entry("nov", "11"),
          Map.entry("dec", "12"));

  /** {@code fields}: by small names, as they are written in LaTeX. */
  record Entry(String type, String key, Map<String, String> fields, int line) {}

  private static final class Broken extends Exception {
    private static final long serialVersionUID = 1L;

    private Broken(String sentence) {
      super(sentence);
    }
  }

  private final String text;
  private final Map<String, String> strings = new HashMap<>(MONTHS);
  private final List<Entry> entries = new ArrayList<>();
  private final List<ReadFile.Problem> problems = new ArrayList<>();
  private int at;

  /** Up to where lines were counted, and how many. */
  private int counted;

  private int lines = 1;

  BibtexParser(String text) {
    this.text = text;
  }

  List<Entry> entries() {
    return entries;
  }

  List<ReadFile.Problem> problems() {
    return problems;
  }

  BibtexParser parse() {
    Matcher next = NEXT.matcher(text);
    while (next.find(at)) {
      at = next.end() - 1;
      int line = line(next.start() + next.group().indexOf('@'));
      String type = next.group().replaceAll("[@\\s{(]", "").toLowerCase(Locale.ROOT);
      Map<String, String> fields = new LinkedHashMap<>();
      String key = "";
      try {
        char end = text.charAt(at++) == '{' ? '}' : ')';
        switch (type) {
          case "comment", "preamble" -> skip(end);
          case "string" -> fields(strings, end);
          default -> {
            key = key();
            fields(fields, end);
          }
        }
      } catch (Broken broken) {
        problems.add(new ReadFile.Problem(line, broken.getMessage()));
      }
      if (!List.of("comment", "preamble", "string").contains(type)) {
        entries.add(new Entry(type, key, fields, line));
      }
    }
    return this;
  }

  private int line(int place) {
    for (; counted < place; counted++) {
      if (text.charAt(counted) == '\n') {
        lines++;
      }
    }
    return lines;
  }

  private void skip(char end) throws Broken {
    if (end == '}') {
      at--;
      braced();
    } else {
      at = Math.max(at, text.indexOf(end, at));
    }
  }

  private String key() {
    space();
    Matcher key = KEY.matcher(text).region(at, text.length());
    key.lookingAt();
    int after = key.end();
    while (after < text.length() && Character.isWhitespace(text.charAt(after))) {
      after++;
    }
    // Whoever left the key away began with a field.
    if (key.group().contains("=") || (after < text.length() && text.charAt(after) == '=')) {
      return "";
    }
    at = key.end();
    return key.group();
  }

  private void fields(Map<String, String> into, char end) throws Broken {
    while (true) {
      space();
      while (at < text.length() && text.charAt(at) == ',') {
        at++;
        space();
      }
      if (at >= text.length()) {
        throw new Broken("The entry does not end.");
      }
      if (text.charAt(at) == end) {
        at++;
        return;
      }
      Matcher name = NAME.matcher(text).region(at, text.length());
      if (!name.lookingAt()) {
        throw new Broken("A field was expected, and “%s” stands there.".formatted(text.charAt(at)));
      }
      at = name.end();
      space();
      if (at >= text.length() || text.charAt(at) != '=') {
        throw new Broken("Behind “%s” no “=” stands.".formatted(cut(name.group())));
      }
      at++;
      into.putIfAbsent(name.group().toLowerCase(Locale.ROOT), value(name.group()));
    }
  }

  private static String cut(String name) {
    return name.length() > 30 ? name.substring(0, 30) + "…" : name;
  }

  private String value(String field) throws Broken {
    StringBuilder value = new StringBuilder();
    do {
      space();
      value.append(piece(field));
      if (value.length() > LONGEST) {
        throw new Broken("“%s” is longer than %,d letters.".formatted(cut(field), LONGEST));
      }
      space();
    } while (at < text.length() && text.charAt(at) == '#' && ++at > 0);
    return value.toString();
  }

  private String piece(String field) throws Broken {
    char c = at < text.length() ? text.charAt(at) : ',';
    if (c == '{') {
      return braced();
    }
    if (c == '"') {
      return quoted(field);
    }
    Matcher word = NAME.matcher(text).region(at, text.length());
    if (!word.lookingAt()) {
      throw new Broken("“%s” has no value.".formatted(cut(field)));
    }
    at = word.end();
    String bare = word.group();
    return Optional.ofNullable(strings.get(bare.toLowerCase(Locale.ROOT))).orElse(bare);
  }

  /** What stands in braces, without them. An entry that begins in it shows that they do not end. */
  private String braced() throws Broken {
    int from = at + 1;
    int depth = 0;
    for (int i = at; i < text.length(); i++) {
      char c = text.charAt(i);
      if (c == '\\') {
        i++;
      } else if (c == '{') {
        depth++;
      } else if (c == '}' && --depth == 0) {
        at = i + 1;
        return text.substring(from, i);
      } else if (c == '@' && beginsEntry(i)) {
        break;
      }
    }
    throw new Broken("A brace is not closed: “%s”.".formatted(beginning(from)));
  }

  private String quoted(String field) throws Broken {
    int from = at + 1;
    int depth = 0;
    for (int i = from; i < text.length(); i++) {
      char c = text.charAt(i);
      if (c == '\\') {
        i++;
      } else if (c == '{') {
        depth++;
      } else if (c == '}') {
        depth--;
      } else if (c == '"' && depth <= 0) {
        at = i + 1;
        return text.substring(from, i);
      } else if (c == '@' && beginsEntry(i)) {
        break;
      }
    }
    throw new Broken("The quotation of “%s” is not closed.".formatted(cut(field)));
  }

  private boolean beginsEntry(int place) {
    int start = text.lastIndexOf('\n', place) + 1;
    Matcher next = NEXT.matcher(text).region(start, text.length());
    return text.substring(start, place).isBlank() && next.lookingAt();
  }

  private String beginning(int from) {
    String begins = text.substring(from, Math.min(text.length(), from + 40)).strip();
    return begins.lines().findFirst().orElse("").strip();
  }

  private void space() {
    while (at < text.length()) {
      char c = text.charAt(at);
      if (c == '%') {
        // Some write remarks between fields.
        int end = text.indexOf('\n', at);
        at = end < 0 ? text.length() : end;
      } else if (Character.isWhitespace(c) || c == '\uFEFF') {
        at++;
      } else {
        return;
      }
    }
  }
}
