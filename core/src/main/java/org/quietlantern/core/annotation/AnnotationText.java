package org.quietlantern.core.annotation;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * The words of an annotation as they are read: a line that is written is a paragraph, what stands
 * between two stars is emphasised. A star that closes nothing is a star.
 */
public record AnnotationText(List<Paragraph> paragraphs) {
  private static final Pattern EMPHASIS =
      Pattern.compile("(?<![\\p{L}\\p{N}*])\\*(?=\\S)([^*]+)(?<=\\S)\\*(?![\\p{L}\\p{N}*])");

  public AnnotationText {
    paragraphs = List.copyOf(paragraphs);
  }

  public record Paragraph(List<Words> words) {
    public Paragraph {
      words = List.copyOf(words);
    }

    /** Without emphasis. */
    public String plain() {
      return words.stream().map(Words::text).collect(Collectors.joining());
    }
  }

  /** Words that are all emphasised, or all not. */
  public record Words(String text, boolean emphasised) {}

  public static AnnotationText read(String written) {
    return new AnnotationText(
        written
            .lines()
            .map(String::strip)
            .filter(line -> !line.isEmpty())
            .map(AnnotationText::paragraph)
            .toList());
  }

  private static Paragraph paragraph(String line) {
    List<Words> words = new ArrayList<>();
    Matcher emphasis = EMPHASIS.matcher(line);
    int done = 0;
    while (emphasis.find()) {
      add(words, line.substring(done, emphasis.start()), false);
      add(words, emphasis.group(1), true);
      done = emphasis.end();
    }
    add(words, line.substring(done), false);
    return new Paragraph(words);
  }

  private static void add(List<Words> words, String text, boolean emphasised) {
    if (!text.isEmpty()) {
      words.add(new Words(text, emphasised));
    }
  }
}
