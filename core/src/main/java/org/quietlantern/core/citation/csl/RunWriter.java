package org.quietlantern.core.citation.csl;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Locale;

/** Writes what is rendered as blocks of words that look alike. */
final class RunWriter extends LookWalk {
  private final List<Block> blocks = new ArrayList<>();
  private final List<Run> runs = new ArrayList<>();
  private final Deque<Run.Look> looks = new ArrayDeque<>(List.of(Run.Look.PLAIN));
  private final Deque<Block.Display> displays = new ArrayDeque<>(List.of(Block.Display.LINE));

  private RunWriter() {}

  static List<Block> write(Output output) {
    RunWriter writer = new RunWriter();
    writer.walk(output);
    writer.block();
    return List.copyOf(writer.blocks);
  }

  @Override
  void words(String text) {
    if (text.isEmpty()) {
      return;
    }
    Run.Look look = looks.element();
    int last = runs.size() - 1;
    if (last >= 0 && runs.get(last).look().equals(look)) {
      runs.set(last, new Run(runs.get(last).text() + text, look));
    } else {
      runs.add(new Run(text, look));
    }
  }

  @Override
  void begin(String kind, String value) {
    if (kind.equals("display")) {
      block();
      displays.push(Block.Display.valueOf(value.toUpperCase(Locale.ROOT).replace('-', '_')));
    } else {
      looks.push(with(looks.element(), kind, value));
    }
  }

  @Override
  void end(String kind, String value) {
    if (kind.equals("display")) {
      block();
      displays.pop();
    } else {
      looks.pop();
    }
  }

  private void block() {
    boolean says = runs.stream().anyMatch(run -> !run.text().isBlank());
    if (says) {
      blocks.add(new Block(displays.element(), runs));
    }
    runs.clear();
  }

  private static Run.Look with(Run.Look look, String kind, String value) {
    return switch (kind) {
      case "font-style" ->
          new Run.Look(
              value.equals("italic") || value.equals("oblique"),
              look.bold(),
              look.smallCaps(),
              look.underlined(),
              look.level());
      case "font-weight" ->
          new Run.Look(
              look.italic(),
              value.equals("bold"),
              look.smallCaps(),
              look.underlined(),
              look.level());
      case "font-variant" ->
          new Run.Look(
              look.italic(),
              look.bold(),
              value.equals("small-caps"),
              look.underlined(),
              look.level());
      case "text-decoration" ->
          new Run.Look(
              look.italic(),
              look.bold(),
              look.smallCaps(),
              value.equals("underline"),
              look.level());
      default ->
          new Run.Look(
              look.italic(), look.bold(), look.smallCaps(), look.underlined(), level(value));
    };
  }

  private static Run.Level level(String value) {
    return switch (value) {
      case "sup" -> Run.Level.SUPERSCRIPT;
      case "sub" -> Run.Level.SUBSCRIPT;
      default -> Run.Level.BASELINE;
    };
  }
}
