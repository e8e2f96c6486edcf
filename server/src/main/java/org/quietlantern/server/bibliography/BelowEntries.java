package org.quietlantern.server.bibliography;

import java.time.Instant;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.quietlantern.core.annotation.AnnotationState;
import org.quietlantern.core.annotation.AnnotationText;
import org.quietlantern.server.platform.Json;
import org.quietlantern.server.platform.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * What stands below the entries of a bibliography: annotations, and what is quoted through them.
 */
@Component
public class BelowEntries {
  private final BelowMapper mapper;
  private final Json json;

  /**
   * An annotation below an entry.
   *
   * @param state {@code draft}, {@code to be read} or {@code agreed}
   * @param by who writes it
   * @param open what colleagues said of it that was not dealt with
   */
  public record AnnotationBelow(
      String by, String state, Instant at, int open, List<AnnotationText.Paragraph> paragraphs) {
    public boolean is(AnnotationState wanted) {
      return state.equals(wanted.word());
    }

    String plain() {
      String text =
          paragraphs.stream()
              .map(AnnotationText.Paragraph::plain)
              .collect(Collectors.joining("\n"));
      return is(AnnotationState.AGREED) ? text : "[%s] %s".formatted(state, text);
    }
  }

  /**
   * A work that is quoted through the one of an entry.
   *
   * @param doi may be empty
   * @param read whether somebody did what was to be looked up
   */
  public record QuotedShown(String id, String described, String doi, String by, boolean read) {}

  /** Of one entry. */
  record Below(@Nullable AnnotationBelow annotation, List<QuotedShown> quoted) {
    static final Below NOTHING = new Below(null, List.of());

    boolean is(AnnotationState wanted) {
      return annotation != null && annotation.is(wanted);
    }
  }

  BelowEntries(BelowMapper mapper, Json json) {
    this.mapper = mapper;
    this.json = json;
  }

  /**
   * Annotations as plain text, by row number of the work; what is not agreed says so.
   *
   * @param folder row number
   */
  @Transactional(readOnly = true)
  public Map<Integer, String> texts(int folder) {
    Map<Integer, String> texts = new HashMap<>();
    of(folder)
        .forEach(
            (work, below) -> {
              if (below.annotation() != null) {
                texts.put(work, below.annotation().plain());
              }
            });
    return texts;
  }

  /** Of a folder (row number), by row number of the work; of works, too, that were taken out. */
  Map<Integer, Below> of(int folder) {
    return mapper.inFolder(folder).stream()
        .collect(Collectors.toMap(BelowMapper.Row::publication, this::below));
  }

  private Below below(BelowMapper.Row row) {
    AnnotationBelow said =
        row.body() == null
            ? null
            : new AnnotationBelow(
                row.name(),
                row.state(),
                row.at(),
                row.open(),
                AnnotationText.read(row.body()).paragraphs());
    return new Below(
        said, Arrays.stream(row.quoted()).map(one -> json.read(one, QuotedShown.class)).toList());
  }
}
