package org.quietlantern.core.reference;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.quietlantern.core.publication.PersonName;

/**
 * The names with which a citation begins, one after the other, in any of the orders that styles
 * have: <i>Oxlade, R. T.</i>, <i>Oxlade RT</i>, <i>R. T. Oxlade</i>, <i>Oxlade, Rhona</i>.
 *
 * @param names in their order
 * @param end where what follows them begins
 */
record CitedNames(List<PersonName> names, int end) {
  /** Names of one entry. */
  private static final int MOST = 200;

  private static final String PART = "(?:-\\p{L}[\\p{L}\\p{M}'’]*+)*+";
  private static final String WORD = "\\p{Lu}[\\p{L}\\p{M}'’]*+" + PART;
  private static final String PARTICLE =
      "(?:[Dd]e|[Dd]el|[Dd]ella|[Dd]i|[Dd]a|[Dd]os|[Dd]u|[Vv]an|[Vv]on|[Dd]er|[Dd]en|[Tt]en|[Tt]er|[Zz]u|[Aa]f|[Aa]v|[Ll]e|[Ll]a|[Ee]l|[Aa]l)";
  private static final String PARTICLES = "(?:" + PARTICLE + " )*+";
  private static final String FAMILY = "(" + PARTICLES + WORD + "(?: " + WORD + "){0,2})";
  private static final String INITIALS = "(\\p{Lu}\\p{Ll}?\\.(?:[ -]?\\p{Lu}\\p{Ll}?\\.)*+)";
  private static final String GIVEN = "(" + WORD + "(?: (?:\\p{Lu}\\.|" + WORD + ")){0,3})";

  /** Behind a given name: what stands before the family name when it is spoken. */
  private static final String BEHIND_GIVEN = "((?: " + PARTICLE + "(?=[ ,.;]))*+)";

  /** Behind a name: a mark, a bracket, the end, or a word between two names. */
  private static final String BEHIND =
      "(?=[.,;:(\\[“\"]|\\s+(?:[(\\[“\"‘']|&|and\\b|und\\b|et\\b|\\d{4}\\b)|\\s*$|(?<=\\.))";

  /** In the order in which they are tried: the clearest first. */
  private enum Form {
    INVERTED(FAMILY + ", " + INITIALS + BEHIND_GIVEN, false),
    INVERTED_CLOSE(FAMILY + " " + INITIALS + "(?! ?\\p{Lu}[\\p{Ll}'’])()", false),
    CLOSE(FAMILY + " (\\p{Lu}{1,3})(?! \\p{Ll})()", false),
    DIRECT(INITIALS + " ?" + FAMILY + "()", true),
    SPOKEN_INVERTED(FAMILY + ", " + GIVEN + BEHIND_GIVEN, false),
    SPOKEN(GIVEN + " (" + PARTICLES + "\\p{Lu}[\\p{L}\\p{M}'’]++" + PART + ")()", true);

    private final Pattern pattern;
    private final boolean direct;

    Form(String pattern, boolean direct) {
      this.pattern = Pattern.compile(pattern + BEHIND);
      this.direct = direct;
    }
  }

  private static final Pattern BETWEEN =
      Pattern.compile(
          "(?:\\s*[;,]\\s*(?:&|and\\b|und\\b|et\\b(?! al)|…|\\. \\. \\.)?\\s*|\\s+(?:&|and|und|et(?! al))\\s+)");
  private static final Pattern AND_OTHERS =
      Pattern.compile(",?\\s*(?:et al|and others|u\\. ?a)\\.?");
  private static final Pattern EDITORS =
      Pattern.compile(",?\\s*[(\\[]?(?:[Ee]ds?|Hrsg|[Ee]ditors?)\\.?[)\\]]?(?=[,.\\s])");

  private record One(PersonName name, int end) {}

  /** None where the text begins with no name. */
  static CitedNames read(String text) {
    for (Form first : Form.values()) {
      Optional<One> one = at(text, 0, first);
      if (one.isPresent()) {
        return more(text, first, one.get());
      }
    }
    return new CitedNames(List.of(), 0);
  }

  private static CitedNames more(String text, Form first, One one) {
    List<PersonName> names = new ArrayList<>(List.of(one.name()));
    int end = one.end();
    while (names.size() < MOST) {
      Matcher between = BETWEEN.matcher(text).region(end, text.length());
      Optional<One> next =
          between.lookingAt() ? next(text, between.end(), first) : Optional.empty();
      if (next.isEmpty()) {
        break;
      }
      names.add(next.get().name());
      end = next.get().end();
    }
    for (Pattern behind : List.of(AND_OTHERS, EDITORS)) {
      Matcher matcher = behind.matcher(text).region(end, text.length());
      end = matcher.lookingAt() ? matcher.end() : end;
    }
    return new CitedNames(names, end);
  }

  /** Like the first; some styles turn the first name alone around. */
  private static Optional<One> next(String text, int from, Form first) {
    List<Form> forms =
        switch (first) {
          case SPOKEN_INVERTED ->
              List.of(Form.DIRECT, Form.SPOKEN, Form.SPOKEN_INVERTED, Form.INVERTED);
          case INVERTED -> List.of(Form.INVERTED, Form.DIRECT, Form.SPOKEN);
          default -> List.of(first);
        };
    return forms.stream().flatMap(form -> at(text, from, form).stream()).findFirst();
  }

  private static Optional<One> at(String text, int from, Form form) {
    Matcher matcher = form.pattern.matcher(text).region(from, text.length());
    matcher.useTransparentBounds(true);
    if (!matcher.lookingAt()) {
      return Optional.empty();
    }
    String one = matcher.group(1);
    String other = matcher.group(2);
    String before = matcher.group(3).strip();
    PersonName name =
        form.direct ? new PersonName(other, one) : new PersonName(before + " " + one, other);
    return Optional.of(new One(name, matcher.end()));
  }
}
