package org.quietlantern.core.reference;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.quietlantern.core.exchange.Supplied;

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

  /** What is neither an entry nor has a key. */
  private static final Set<String> ASIDE = Set.of("comment", "preamble", "string");

  /** {@code fields}: by small names, as they are written in LaTeX. */
  record Entry(String type, String key, Map<String, String> fields, int line) {}

  private static final class Broken extends Exception {
    private static final long serialVersionUID = 1L;

    private Broken(String sentence) {
      super(sentence);
    }
  }

  private final String text;

  /** By name; months have theirs from the beginning. */
  private final Map<String, String> strings = new HashMap<>();

  private final List<Entry> entries = new ArrayList<>();
  private final List<ReadFile.Problem> problems = new ArrayList<>();
  private int at;

  /** Up to where lines were counted, and how many. */
  private int counted;

  private int lines = 1;

  BibtexParser(String text) {
    this.text = text;
    Supplied.MONTHS.forEach(month -> strings.put(month, String.valueOf(strings.size() + 1)));
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
      if (!ASIDE.contains(type)) {
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
      if (into.putIfAbsent(name.group().toLowerCase(Locale.ROOT), value(name.group())) != null) {
        problems.add(
            new ReadFile.Problem(
                line(name.start()),
                "“%s” stands twice; the first was read.".formatted(cut(name.group()))));
      }
    }
  }

  private static String cut(String name) {
    return name.length() > 30 ? name.substring(0, 30) + "…" : name;
  }

  private String value(String field) throws Broken {
    StringBuilder value = new StringBuilder();
    while (true) {
      space();
      value.append(piece(field));
      if (value.length() > LONGEST) {
        throw new Broken("“%s” is longer than %,d letters.".formatted(cut(field), LONGEST));
      }
      space();
      if (at >= text.length() || text.charAt(at) != '#') {
        return value.toString();
      }
      at++;
    }
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
    return strings.getOrDefault(bare.toLowerCase(Locale.ROOT), bare);
  }

  private String braced() throws Broken {
    int from = at + 1;
    return enclosed('}')
        .orElseThrow(() -> new Broken("A brace is not closed: “%s”.".formatted(beginning(from))));
  }

  private String quoted(String field) throws Broken {
    return enclosed('"')
        .orElseThrow(
            () -> new Broken("The quotation of “%s” is not closed.".formatted(cut(field))));
  }

  /**
   * What stands up to a sign outside of the braces within, without the signs around it. An entry
   * that begins in it shows that it does not end: empty, and nothing is read.
   */
  private Optional<String> enclosed(char end) {
    int from = at + 1;
    int depth = 0;
    for (int i = from; i < text.length(); i++) {
      char c = text.charAt(i);
      if (c == '\\') {
        i++;
      } else if (c == end && depth <= 0) {
        at = i + 1;
        return Optional.of(text.substring(from, i));
      } else if (c == '{') {
        depth++;
      } else if (c == '}') {
        depth--;
      } else if (c == '@' && beginsEntry(i)) {
        return Optional.empty();
      }
    }
    return Optional.empty();
  }

  private boolean beginsEntry(int place) {
    int start = place;
    while (start > 0 && " \t".indexOf(text.charAt(start - 1)) >= 0) {
      start--;
    }
    boolean first = start == 0 || text.charAt(start - 1) == '\n';
    return first && NEXT.matcher(text).region(start, text.length()).lookingAt();
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
