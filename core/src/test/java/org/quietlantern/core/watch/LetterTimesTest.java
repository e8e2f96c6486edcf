package org.quietlantern.core.watch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;

/** When somebody is written to (rule N8). */
class LetterTimesTest {
  private static final ZoneId OSLO = ZoneId.of("Europe/Oslo");
  private static final Set<DayOfWeek> ALL = Set.of(DayOfWeek.values());

  private static LetterTimes at(Set<DayOfWeek> days, String... hours) {
    return new LetterTimes(
        days,
        Arrays.stream(hours).map(LocalTime::parse).collect(Collectors.toCollection(TreeSet::new)));
  }

  private static List<String> next(LetterTimes times, String after, ZoneId zone, int many) {
    List<String> moments = new ArrayList<>();
    Instant at = Instant.parse(after);
    for (int n = 0; n < many; n++) {
      at = times.after(at, zone).at();
      moments.add(at.toString());
    }
    return moments;
  }

  @DisplayName("Several hours of a day, in their order; days that are not chosen are passed over")
  @Test
  void order() {
    LetterTimes times = at(Set.of(DayOfWeek.FRIDAY, DayOfWeek.MONDAY), "16:00", "07:00");
    assertThat(next(times, "2026-11-26T12:00:00Z", OSLO, 5))
        .containsExactly(
            "2026-11-27T06:00:00Z",
            "2026-11-27T15:00:00Z",
            "2026-11-30T06:00:00Z",
            "2026-11-30T15:00:00Z",
            "2026-12-04T06:00:00Z");
  }

  @DisplayName("The moment itself is past: what was dealt with does not come again")
  @Test
  void strictlyAfter() {
    LetterTimes times = at(ALL, "07:00");
    assertThat(next(times, "2026-11-27T06:00:00Z", OSLO, 1))
        .containsExactly("2026-11-28T06:00:00Z");
    LetterTimes.Moment moment = times.after(Instant.parse("2026-11-27T05:59:59Z"), OSLO);
    assertThat(moment.day()).isEqualTo(LocalDate.of(2026, 11, 27));
    assertThat(moment.hour()).isEqualTo(LocalTime.of(7, 0));
  }

  @DisplayName("In the night that has an hour twice one letter comes, in the other one hour later")
  @Test
  void clockChanges() {
    LetterTimes times = at(ALL, "02:30");
    assertThat(next(times, "2026-10-24T12:00:00Z", OSLO, 2))
        .containsExactly("2026-10-25T00:30:00Z", "2026-10-26T01:30:00Z");
    assertThat(next(times, "2027-03-27T12:00:00Z", OSLO, 2))
        .containsExactly("2027-03-28T01:30:00Z", "2027-03-29T00:30:00Z");
    assertThat(next(at(ALL, "02:30", "03:30"), "2027-03-27T12:00:00Z", OSLO, 2))
        .as("two hours that became one moment")
        .containsExactly("2027-03-28T01:30:00Z", "2027-03-29T00:30:00Z");
  }

  @DisplayName("29 February and the end of the year are days like others; zones by half hours too")
  @Test
  void calendars() {
    assertThat(next(at(ALL, "00:00"), "2028-02-28T12:00:00Z", ZoneId.of("UTC"), 2))
        .containsExactly("2028-02-29T00:00:00Z", "2028-03-01T00:00:00Z");
    assertThat(next(at(ALL, "07:00"), "2026-12-31T12:00:00Z", ZoneId.of("Asia/Kolkata"), 1))
        .containsExactly("2027-01-01T01:30:00Z");
  }

  @DisplayName("Over a year each moment comes once, in any zone")
  @Test
  void onceEach() {
    for (String zone : List.of("Europe/Oslo", "America/New_York", "Australia/Lord_Howe", "UTC")) {
      LetterTimes times = at(ALL, "01:30", "02:30", "09:00");
      Instant at = Instant.parse("2026-01-01T00:00:00Z");
      Set<Instant> seen = new TreeSet<>();
      for (int n : IntStream.range(0, 365 * 3).toArray()) {
        Instant next = times.after(at, ZoneId.of(zone)).at();
        assertThat(next).as("%s, %d", zone, n).isAfter(at);
        assertThat(seen.add(next)).isTrue();
        at = next;
      }
    }
  }

  @DisplayName("No day, no hour, or five hours are no times")
  @Test
  void unusable() {
    assertThatThrownBy(() -> at(Set.of(), "07:00")).isInstanceOf(IllegalArgumentException.class);
    assertThatThrownBy(() -> at(ALL)).isInstanceOf(IllegalArgumentException.class);
    assertThatThrownBy(() -> at(ALL, "01:00", "02:00", "03:00", "04:00", "05:00"))
        .isInstanceOf(IllegalArgumentException.class);
  }
}
