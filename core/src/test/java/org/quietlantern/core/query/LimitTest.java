package org.quietlantern.core.query;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class LimitTest {
  @DisplayName("L4: both ends are in; ends the wrong way round are turned, others stay as they are")
  @ParameterizedTest
  @CsvSource({
    "DATE, 2020, 2016, 2016, 2020",
    "DATE, 2016, 2020, 2016, 2020",
    "DATE, 2016-04, 2016-03, 2016-03, 2016-04",
    "DATE, 2016, 2016, 2016, 2016",
    "DATE, 2016-12, 2016, 2016-12, 2016",
    "DATE, 2020, '', 2020, ''",
    "DATE, '', 2016, '', 2016",
    "PAGES, 20, 8, 8, 20",
    "CAME, 2026-11-25, 2026-11-24, 2026-11-24, 2026-11-25"
  })
  void ordered(Property property, String from, String to, String first, String last) {
    assertThat(Range.between(from, to).ordered(property)).isEqualTo(Range.between(first, last));
  }

  @Test
  void endsAsNumbers() {
    assertThat(Range.first(Property.DATE, "2016")).isEqualTo(2016 * 12);
    assertThat(Range.last(Property.DATE, "2016")).isEqualTo(2016 * 12 + 11);
    assertThat(Range.first(Property.DATE, "2016-03")).isEqualTo(2016 * 12 + 2);
    assertThat(Range.last(Property.DATE, "2016-03")).isEqualTo(2016 * 12 + 2);
    assertThat(Range.first(Property.CAME, "1970-01-03")).isEqualTo(2);
    assertThat(Range.first(Property.PAGES, "12")).isEqualTo(12);
    assertThat(Range.first(Property.PAGES, "")).isEqualTo(Long.MIN_VALUE);
    assertThat(Range.last(Property.PAGES, "")).isEqualTo(Long.MAX_VALUE);
  }

  @ParameterizedTest
  @CsvSource({
    "DATE, 2016-13, a year (2016) or a month (2016-03)",
    "CAME, 2016, a day (2026-11-25)",
    "PAGES, twelve, a number of pages"
  })
  void unreadable(Property property, String end, String expected) {
    assertThatThrownBy(() -> Limit.range(property, Range.between("", end)))
        .hasMessage("“%s” cannot be read as %s", end, expected);
  }

  @DisplayName("L4: the last n years roll with the calendar")
  @Test
  void rolling() {
    LocalDate today = LocalDate.of(2026, 11, 25);
    assertThat(Range.lastYears(5).on(today)).isEqualTo(Range.between("2021", "2026"));
    assertThat(Range.between("2001", "").on(today)).isEqualTo(Range.between("2001", ""));
    assertThatThrownBy(() -> Range.lastYears(501)).hasMessageContaining("between 1 and 500");
    assertThatThrownBy(() -> Range.lastYears(-1)).isInstanceOf(IllegalArgumentException.class);
    assertThat(Range.lastYears(500).isSet()).isTrue();
    assertThatThrownBy(() -> new Range("2001", "", 3)).hasMessageContaining("either");
    assertThatThrownBy(() -> Limit.range(Property.PAGES, Range.lastYears(2)))
        .hasMessage("only dates can roll with the calendar");
  }

  @Test
  void whatALimitAsks() {
    Limit chosen = Limit.any(Property.KIND, "article", Limit.UNKNOWN);
    assertThat(chosen.asks()).isTrue();
    assertThat(chosen.asksFor()).isTrue();
    assertThat(chosen.takesUnknown()).isTrue();
    Limit ruledOut = Limit.without(Property.KIND, "article");
    assertThat(ruledOut.asks()).isTrue();
    assertThat(ruledOut.asksFor()).isFalse();
    assertThat(ruledOut.takesUnknown()).isFalse();
    Limit none = Limit.any(Property.KIND);
    assertThat(none.asks()).isFalse();
    Limit dates = Limit.range(Property.DATE, Range.between("2016", ""));
    assertThat(dates.asks()).isTrue();
    assertThat(dates.asksFor()).isTrue();
    assertThat(
            new Limit(Property.KIND, List.of("a", "b"), false, List.of("b"), Range.NONE)
                .contradicted())
        .containsExactly("b");
  }

  @Test
  void whatIsNoLimit() {
    assertThatThrownBy(() -> Limit.any(Property.DATE, "2016")).hasMessageContaining("by its ends");
    assertThatThrownBy(() -> Limit.without(Property.DATE, "2016"))
        .hasMessageContaining("by its ends");
    assertThat(Limit.any(Property.DATE, Limit.UNKNOWN).takesUnknown()).isTrue();
    assertThatThrownBy(() -> Limit.range(Property.KIND, Range.between("1", "2")))
        .hasMessageContaining("has no ends");
    assertThatThrownBy(() -> new Limit(Property.KIND, List.of("a"), true, List.of(), Range.NONE))
        .hasMessageContaining("all of it is no limit");
  }
}
