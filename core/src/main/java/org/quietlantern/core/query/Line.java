package org.quietlantern.core.query;

import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;

/** One line of a strategy. */
public sealed interface Line {
  /** One method a kind of line, so that the compiler finds every place when a kind is added. */
  interface Cases<R> {
    R words(Words words);

    R limit(Limited limited);

    R held(Held held);
  }

  <R> R match(Cases<R> cases);

  /** Unique inside its strategy, and kept when the line is edited or moved. */
  String id();

  /** Switched off: stays on the sheet, searches nothing. */
  boolean off();

  /** The same line, in force or not. */
  Line switched(boolean off);

  /** The same line under another id. */
  Line called(String id);

  /**
   * Text as it was typed; everything else about the line is derived from it.
   *
   * @param means what names of headings in it meant before headings were renamed: names in folded
   *     letters with URIs. Names that are not there mean what they mean now.
   */
  record Words(
      String id, String text, boolean off, Set<Widening> widened, Map<String, String> means)
      implements Line {
    public Words {
      checkId(id);
      widened = Set.copyOf(widened);
      means = Map.copyOf(means);
    }

    public Words(String id, String text, boolean off, Set<Widening> widened) {
      this(id, text, off, widened, Map.of());
    }

    public Words(String id, String text, boolean off) {
      this(id, text, off, EnumSet.noneOf(Widening.class));
    }

    /** The same line in force with another text. */
    public Words saying(String other) {
      return new Words(id, other, false, widened, means);
    }

    /** The same line in force, widened in more ways. */
    public Words wider(Set<Widening> more) {
      Set<Widening> all = EnumSet.copyOf(more);
      all.addAll(widened);
      return new Words(id, text, false, all, means);
    }

    public Words meaning(Map<String, String> names) {
      return new Words(id, text, off, widened, names);
    }

    public Parsed parsed() {
      return Parser.parse(text);
    }

    @Override
    public Line switched(boolean isOff) {
      return new Words(id, text, isOff, widened, means);
    }

    @Override
    public Line called(String newId) {
      return new Words(newId, text, off, widened, means);
    }

    @Override
    public <R> R match(Cases<R> cases) {
      return cases.words(this);
    }
  }

  /** Narrows by a property; at most one line a property (rule L1). */
  record Limited(String id, Limit limit, boolean off) implements Line {
    public Limited {
      checkId(id);
    }

    @Override
    public Line switched(boolean isOff) {
      return new Limited(id, limit, isOff);
    }

    @Override
    public Line called(String newId) {
      return new Limited(newId, limit, off);
    }

    @Override
    public <R> R match(Cases<R> cases) {
      return cases.limit(this);
    }
  }

  /**
   * Whole strategies, of which any will do. Some are named by what never changes: {@code s:ID:n},
   * revision n of a saved search, or {@code q:ID}, a strategy that was settled once. Others follow
   * what they name: {@code a:ID}, what is like a publication; {@code k:ID}, the works kept in a
   * folder; {@code c:ID}, what cites any of those.
   */
  record Held(String id, List<String> strategies, boolean rulesOut, boolean off) implements Line {
    /** Strategies that one line may hold. */
    public static final int MOST = 20;

    private static final Pattern OF_FOLDER = Pattern.compile("[kc]:.*");

    private static final Pattern NAME =
        Pattern.compile("s:[0-9a-z]{10}:[1-9]\\d{0,8}|[qakc]:[0-9a-z]{10}");

    public Held {
      checkId(id);
      strategies = List.copyOf(strategies);
      if (strategies.isEmpty() || strategies.size() > MOST) {
        throw new IllegalArgumentException("a line holds 1 to " + MOST + " strategies");
      }
      for (String name : strategies) {
        if (!NAME.matcher(name).matches()) {
          throw new IllegalArgumentException("no strategy is named “" + name + "”");
        }
      }
    }

    /** Whether a name follows what is kept in a folder. */
    public static boolean followsFolder(String name) {
      return OF_FOLDER.matcher(name).matches();
    }

    @Override
    public Line switched(boolean isOff) {
      return new Held(id, strategies, rulesOut, isOff);
    }

    @Override
    public Line called(String newId) {
      return new Held(newId, strategies, rulesOut, off);
    }

    @Override
    public <R> R match(Cases<R> cases) {
      return cases.held(this);
    }
  }

  private static void checkId(String id) {
    if (id.isBlank() || id.length() > 40) {
      throw new IllegalArgumentException("bad line id: " + id);
    }
  }
}
