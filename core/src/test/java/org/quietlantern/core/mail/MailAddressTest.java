package org.quietlantern.core.mail;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.util.stream.IntStream;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class MailAddressTest {
  @ParameterizedTest
  @ValueSource(strings = {"a@b.example", " Nora.Field+moths@Hollow.example ", "x@localhost"})
  void one(String typed) {
    assertThat(MailAddress.read(typed))
        .hasValue(new MailAddress(typed.strip().toLowerCase(java.util.Locale.ROOT)));
  }

  @DisplayName("What is none, or could end a line of a header and begin another")
  @ParameterizedTest
  @ValueSource(
      strings = {
        "",
        "nora",
        "@b.example",
        "a@",
        "a b@c.example",
        "a@b..example",
        ".a@b.example",
        "a@-b.example",
        "a@b.example\r\nBcc: all@b.example",
        "a@b.example\nx",
        "a\u0000@b.example",
        "a@b.example,c@d.example",
        "<a@b.example>",
        "\"a b\"@c.example",
        "a@b.exa\u202emple"
      })
  void none(String typed) {
    assertThat(MailAddress.read(typed)).isEmpty();
    assertThatThrownBy(() -> new MailAddress(typed)).isInstanceOf(IllegalArgumentException.class);
  }

  @Test
  void tooLong() {
    assertThat(MailAddress.read("a".repeat(64) + "@b.example")).isPresent();
    assertThat(MailAddress.read("a".repeat(65) + "@b.example")).isEmpty();
    assertThat(MailAddress.read("a@" + "b.".repeat(130) + "example")).isEmpty();
  }

  @DisplayName("Tried again with growing pauses, for about two days")
  @Test
  void patience() {
    assertThat(IntStream.rangeClosed(1, 7).mapToObj(n -> Patience.after(n).orElseThrow()))
        .isSorted();
    assertThat(Patience.after(1)).hasValue(Duration.ofMinutes(1));
    assertThat(Patience.after(8)).isEmpty();
  }
}
