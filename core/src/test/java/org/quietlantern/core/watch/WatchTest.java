package org.quietlantern.core.watch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.quietlantern.core.publication.PartialDate;
import org.roaringbitmap.RoaringBitmap;

class WatchTest {
  private static final ZoneId OSLO = ZoneId.of("Europe/Oslo");

  @DisplayName("N1: new is what matches now and is not in memory; a return is not new")
  @Test
  void newIsMatchesWithoutMemory() {
    Memory memory = Memory.of(RoaringBitmap.bitmapOf(1, 2, 3));
    RoaringBitmap first = memory.news(RoaringBitmap.bitmapOf(2, 3, 4));
    assertThat(first).isEqualTo(RoaringBitmap.bitmapOf(4));
    Memory later = memory.with(first);
    assertThat(later.news(RoaringBitmap.bitmapOf(1, 4)).isEmpty()).isTrue();
    assertThat(later.size()).isEqualTo(4);
    assertThat(memory.size()).as("memory is immutable").isEqualTo(3);
    assertThat(memory.remembersAny(List.of(7, 2))).isTrue();
    assertThat(memory.remembersAny(List.of(7, 4))).isFalse();
    assertThat(memory).hasToString("Memory{1,2,3}").isNotEqualTo(later).isNotEqualTo(null);
    assertThat(memory).hasSameHashCodeAs(Memory.of(RoaringBitmap.bitmapOf(1, 2, 3)));
  }

  @Test
  void memorySurvivesItsBytes() {
    RoaringBitmap many = RoaringBitmap.bitmapOfRange(10, 100_000);
    many.add(4_000_000);
    Memory memory = Memory.of(many);
    assertThat(Memory.read(memory.bytes())).isEqualTo(memory);
    assertThat(memory.bytes().length).isLessThan(200);
    assertThat(Memory.read(Memory.none().bytes())).isEqualTo(Memory.none());
  }

  @DisplayName("N2: the class of a first coming")
  @ParameterizedTest(name = "published {0}, came 2026-11-24, was here {1}: {2}")
  @CsvSource(
      textBlock =
          """
          2026-11-20, false, PUBLISHED
          2027-02,    false, PUBLISHED
          2025-11-24, false, PUBLISHED
          2025-11-23, false, LATE
          2025-11,    false, LATE
          2026,       false, PUBLISHED
          2025,       false, PUBLISHED
          2024,       false, LATE
          ,           false, UNDATED
          2026-11-20, true,  NOW_MATCHING
          ,           true,  NOW_MATCHING
          """)
  void newClass(String published, boolean wasHere, NewClass expected) {
    Optional<PartialDate> date = Optional.ofNullable(published).flatMap(PartialDate::read);
    NewClass found = NewClass.of(date, LocalDate.of(2026, 11, 24), wasHere);
    assertThat(found).isEqualTo(expected);
    assertThat(found.word()).isEqualTo(expected.name().toLowerCase(Locale.ROOT).replace('_', ' '));
  }

  @DisplayName("N6: a rhythm closes next, right across clock changes")
  @ParameterizedTest(name = "{0} after {1} at {2}: {3}")
  @CsvSource(
      textBlock =
          """
          daily,                 2026-11-24T03:59:00Z, 05:00, 2026-11-24T04:00:00Z
          daily,                 2026-11-24T04:00:00Z, 05:00, 2026-11-25T04:00:00Z
          weekly:MONDAY,         2026-11-24T12:00:00Z, 05:00, 2026-11-30T04:00:00Z
          'weekly:MONDAY,FRIDAY',2026-11-24T12:00:00Z, 05:00, 2026-11-27T04:00:00Z
          monthly:31,            2026-11-24T12:00:00Z, 05:00, 2026-11-30T04:00:00Z
          monthly:31,            2027-01-31T12:00:00Z, 05:00, 2027-02-28T04:00:00Z
          monthly:1,             2026-11-24T12:00:00Z, 05:00, 2026-12-01T04:00:00Z
          daily,                 2026-10-24T12:00:00Z, 05:00, 2026-10-25T04:00:00Z
          daily,                 2026-03-28T12:00:00Z, 05:00, 2026-03-29T03:00:00Z
          daily,                 2026-03-28T12:00:00Z, 02:30, 2026-03-29T01:30:00Z
          daily,                 2026-10-24T12:00:00Z, 02:30, 2026-10-25T00:30:00Z
          daily,                 2026-10-25T00:30:00Z, 02:30, 2026-10-26T01:30:00Z
          """)
  void nextClosing(String rhythm, Instant after, LocalTime hour, Instant expected) {
    assertThat(Rhythm.of(rhythm).nextClosing(after, OSLO, hour)).hasValue(expected);
  }

  @Test
  void allClosingsUpToADay() {
    Instant after = Instant.parse("2026-10-20T12:00:00Z");
    Instant until = Instant.parse("2026-11-02T04:00:00Z");
    assertThat(Rhythm.of("weekly:MONDAY").closings(after, until, OSLO, LocalTime.of(5, 0)))
        .as("at five also after the clock went back; the last moment is one of them")
        .containsExactly(Instant.parse("2026-10-26T04:00:00Z"), until);
    assertThat(Rhythm.of("at-once").closings(after, until, OSLO, LocalTime.NOON)).isEmpty();
  }

  @Test
  void atOnceHasNoClosingHour() {
    assertThat(Rhythm.of("at-once").nextClosing(Instant.EPOCH, OSLO, LocalTime.NOON)).isEmpty();
    assertThat(Rhythm.of("at-once").closesOn(LocalDate.EPOCH)).isFalse();
  }

  @ParameterizedTest
  @ValueSource(strings = {"at-once", "daily", "weekly:MONDAY,FRIDAY", "monthly:31"})
  void aRhythmPrintsBack(String text) {
    assertThat(Rhythm.of(text).text()).isEqualTo(text);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {"", "hourly", "weekly", "weekly:", "weekly:MOON", "monthly:0", "monthly:x"})
  void anythingElseIsNoRhythm(String text) {
    assertThatThrownBy(() -> Rhythm.of(text)).isInstanceOf(IllegalArgumentException.class);
  }
}
