package org.quietlantern.standins.words;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.function.UnaryOperator;
import java.util.regex.Pattern;

/**
 * One way to say something.
 *
 * <pre>
 * text   = { piece } ;
 * piece  = choice | slot | any other letter ;
 * choice = "[" text { "|" text } "]" ;          one of them, all equally likely
 * slot   = "{" name "}"                          what the caller knows by that name
 *        | "{#" from "-" to "}" ;                a number, with as many decimals as {@code from}
 * </pre>
 *
 * A name that begins with a capital asks for a capital.
 */
public final class Template {
  private static final Pattern BLANKS = Pattern.compile("  +");
  private static final Pattern BLANK_BEFORE_SIGN = Pattern.compile(" (?=[,;:.?])");

  private sealed interface Piece permits Words, Choice, Slot, Figure {}

  private record Words(String text) implements Piece {}

  private record Choice(List<List<Piece>> ways) implements Piece {}

  private record Slot(String name, boolean capital) implements Piece {}

  private record Figure(double from, double to, int decimals) implements Piece {}

  private final String source;
  private final List<Piece> pieces;

  private Template(String source) {
    this.source = source;
    this.pieces = new Reader(source).all();
  }

  /** Throws where a bracket is not closed: templates are ours. */
  public static Template of(String source) {
    return new Template(source);
  }

  public String write(Random random, UnaryOperator<String> slots) {
    StringBuilder text = new StringBuilder();
    write(pieces, random, slots, text);
    String single = BLANKS.matcher(text).replaceAll(" ");
    return BLANK_BEFORE_SIGN.matcher(single).replaceAll("").strip();
  }

  private static void write(
      List<Piece> pieces, Random random, UnaryOperator<String> slots, StringBuilder text) {
    for (Piece piece : pieces) {
      if (piece instanceof Words words) {
        text.append(words.text());
      } else if (piece instanceof Choice choice) {
        write(choice.ways().get(random.nextInt(choice.ways().size())), random, slots, text);
      } else if (piece instanceof Slot slot) {
        String value = slots.apply(slot.name());
        text.append(slot.capital() ? capital(value) : value);
      } else if (piece instanceof Figure figure) {
        text.append(figure(figure, random));
      }
    }
  }

  private static String figure(Figure figure, Random random) {
    double step = Math.pow(10, -figure.decimals());
    int steps = (int) Math.round((figure.to() - figure.from()) / step);
    return String.format(
        Locale.ROOT,
        "%." + figure.decimals() + "f",
        figure.from() + step * random.nextInt(steps + 1));
  }

  /** With a capital at the start. */
  public static String capital(String text) {
    return text.isEmpty()
        ? text
        : text.substring(0, 1).toUpperCase(Locale.ROOT) + text.substring(1);
  }

  @Override
  public String toString() {
    return source;
  }

  /** Goes through a template from left to right. */
  private static final class Reader {
    private final String source;
    private int at;

    Reader(String source) {
      this.source = source;
    }

    List<Piece> all() {
      List<Piece> pieces = text();
      if (at < source.length()) {
        throw new IllegalArgumentException("too many closing brackets: " + source);
      }
      return pieces;
    }

    private List<Piece> text() {
      List<Piece> pieces = new ArrayList<>();
      while (at < source.length() && "|]".indexOf(source.charAt(at)) < 0) {
        switch (source.charAt(at)) {
          case '[' -> pieces.add(choice());
          case '{' -> pieces.add(slot());
          default -> pieces.add(words());
        }
      }
      return List.copyOf(pieces);
    }

    private Piece choice() {
      List<List<Piece>> ways = new ArrayList<>();
      do {
        at++;
        ways.add(text());
        if (at == source.length()) {
          throw new IllegalArgumentException("a bracket is not closed: " + source);
        }
      } while (source.charAt(at) == '|');
      at++;
      return new Choice(List.copyOf(ways));
    }

    private Piece slot() {
      int end = source.indexOf('}', at);
      String name = source.substring(at + 1, end);
      at = end + 1;
      if (name.startsWith("#")) {
        String[] bounds = name.substring(1).split("-");
        int point = bounds[0].indexOf('.');
        return new Figure(
            Double.parseDouble(bounds[0]),
            Double.parseDouble(bounds[1]),
            point < 0 ? 0 : bounds[0].length() - point - 1);
      }
      boolean capital = Character.isUpperCase(name.charAt(0)) && name.length() > 1;
      return new Slot(
          capital ? name.substring(0, 1).toLowerCase(Locale.ROOT) + name.substring(1) : name,
          capital);
    }

    private Piece words() {
      int start = at;
      while (at < source.length() && "[]{|".indexOf(source.charAt(at)) < 0) {
        at++;
      }
      return new Words(source.substring(start, at));
    }
  }
}
