package org.quietlantern.core.text;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

@DisplayName("What a licence lets be sent on")
class LicenceTest {
  @DisplayName("Texts that anybody may share leave")
  @ParameterizedTest
  @ValueSource(
      strings = {
        "open to all",
        "CC BY 4.0",
        "cc-by-nc-nd/4.0",
        "CC0",
        "CC Zero",
        "Creative Commons Attribution-NonCommercial-NoDerivatives 4.0",
        "Creative Commons, no derivatives",
        "https://creativecommons.org/licenses/by-sa/3.0/",
        "in the public domain"
      })
  void leaves(String words) {
    assertThat(Licence.maySend(words)).isTrue();
  }

  @DisplayName("What is for the group alone, or says nothing, or denies it, stays")
  @ParameterizedTest
  @ValueSource(
      strings = {
        "",
        "a copy for your group alone",
        "All rights reserved",
        "not CC BY",
        "no Creative Commons licence",
        "ACC BYLAWS",
        "open to members"
      })
  void stays(String words) {
    assertThat(Licence.maySend(words)).isFalse();
  }
}
