package org.quietlantern.core.question;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class PlaceTest {
  @DisplayName("A place is a thing of the group, with how it is looked at")
  @ParameterizedTest
  @CsvSource({
    "/q/0abcde?order=title&p=1xyz, SHEET, 0abcde",
    "/p/1xyz/text, PUBLICATION, 1xyz",
    "/f/9folder, FOLDER, 9folder",
    "/r/9round?p=1xyz, ROUND, 9round",
    "/s/9saved, SEARCH, 9saved",
    "/a/9alert, ALERT, 9alert"
  })
  void read(String address, Place.Kind kind, String id) {
    assertThat(Place.read(address)).contains(new Place(kind, id, address));
  }

  @DisplayName("Nothing leads out of the group, to somebody's own trail, or to another place")
  @ParameterizedTest
  @ValueSource(
      strings = {
        "",
        "/",
        "/trail",
        "/t/9step",
        "//evil.example/q/0abcde",
        "https://evil.example/q/0abcde",
        "/q/../../g/other",
        "/q/0abcde#x",
        "/q/0abcde?p=\n",
        "/q/0abcde/people",
        "javascript:alert(1)"
      })
  void refused(String address) {
    assertThat(Place.read(address)).isEmpty();
    assertThat(Place.read("/q/0abcde?p=" + "x".repeat(2_000))).isEmpty();
  }
}
