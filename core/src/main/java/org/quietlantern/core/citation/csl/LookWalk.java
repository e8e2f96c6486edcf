package org.quietlantern.core.citation.csl;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashMap;
import java.util.Map;

/**
 * Walks what is rendered and says where a look begins and ends. What a field marks within the same
 * look stands out by being plain.
 */
abstract class LookWalk {
  private static final String NORMAL = "normal";
  private static final String RAISED = "vertical-align";

  abstract void words(String text);

  /**
   * @param kind {@code font-style} … or {@code display}
   * @param value as in the specification, {@code italic}
   */
  abstract void begin(String kind, String value);

  abstract void end(String kind, String value);

  private record Look(String kind, String value) {}

  final void walk(Output output) {
    walk(output, Map.of());
  }

  /** {@code now}: what is in effect, by its kind. */
  private void walk(Output output, Map<String, String> now) {
    if (output instanceof Output.Words words) {
      words(words.text);
      return;
    }
    Output.Span span = (Output.Span) output;
    if (Output.isEmpty(span)) {
      return;
    }
    if (span.decorations.isEmpty() && span.display.isEmpty()) {
      span.children.forEach(child -> walk(child, now));
      return;
    }
    Map<String, String> inside = new HashMap<>(now);
    Deque<Look> open = new ArrayDeque<>();
    if (!span.display.isEmpty()) {
      open("display", span.display, open);
    }
    span.decorations.forEach(decoration -> decorate(decoration, span.ofField, inside, open));
    span.children.forEach(child -> walk(child, inside));
    open.forEach(look -> end(look.kind(), look.value()));
  }

  private void decorate(
      String decoration, boolean ofField, Map<String, String> inside, Deque<Look> open) {
    if (decoration.equals(Markup.NO_DECORATION)) {
      inside.entrySet().stream()
          .filter(one -> !one.getValue().equals(NORMAL))
          .forEach(
              one -> {
                open(one.getKey(), NORMAL, open);
                one.setValue(NORMAL);
              });
    }
    int equals = decoration.indexOf('=');
    if (equals < 0) {
      return;
    }
    String kind = decoration.substring(0, equals);
    String value = decoration.substring(equals + 1);
    boolean turns = ofField && value.equals(inside.get(kind)) && !kind.equals(RAISED);
    String shown = turns ? NORMAL : value;
    boolean needless = shown.equals(NORMAL) && !inside.containsKey(kind);
    if (needless || (!ofField && shown.equals(inside.get(kind)))) {
      return;
    }
    inside.put(kind, shown);
    open(kind, shown, open);
  }

  private void open(String kind, String value, Deque<Look> open) {
    begin(kind, value);
    open.push(new Look(kind, value));
  }
}
