package org.quietlantern.core.review;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.LinkedHashMap;
import java.util.Map;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class MentionsTest {
  @DisplayName("A name behind @, whole or its first part where one has it, mentions that member")
  @ParameterizedTest
  @CsvSource(
      textBlock =
          """
          @Ilse look at this, 1
          look: @ilse brandvold!, 1
          ask @Teodor and @Ilse, 2 1
          @Teodor twice @teodor, 2
          @Jon Aske, 3
          @Jon, ''
          @Jon Sand is the other, 4
          @Ilsebill, ''
          mail@ilse.example, ''
          @, ''
          @@Ilse, 1
          nobody here, ''
          (@Ilse), 1
          @Åse Øye, 5
          """)
  void mentioned(String text, String who) {
    Map<Integer, String> names = new LinkedHashMap<>();
    names.put(1, "Ilse Brandvold");
    names.put(2, "Teodor Vance");
    names.put(3, "Jon Aske");
    names.put(4, "Jon Sand");
    names.put(5, "Åse Øye");
    assertThat(Mentions.in(text, names).stream().map(String::valueOf))
        .containsExactly(who.isEmpty() ? new String[0] : who.split(" "));
  }
}
