package org.quietlantern.core.link;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Random;
import org.junit.jupiter.api.Test;

class PublicIdTest {
  private static final String ALPHABET = "0123456789abcdefghjkmnpqrstvwxyz";
  private final Random random = new Random(7);

  @Test
  void everySingleWrongCharacterIsFound() {
    for (int n = 0; n < 50; n++) {
      String id = PublicId.random(random).text();
      for (int place = 0; place < id.length(); place++) {
        for (int n2 = 0; n2 < ALPHABET.length(); n2++) {
          char other = ALPHABET.charAt(n2);
          if (other != id.charAt(place)) {
            String wrong = id.substring(0, place) + other + id.substring(place + 1);
            assertThat(PublicId.read(wrong)).isEqualTo(new PublicId.Reading.Mistyped(wrong));
          }
        }
      }
    }
  }

  @Test
  void everySwapOfTwoNeighboursIsFound() {
    for (int n = 0; n < 300; n++) {
      String id = PublicId.random(random).text();
      for (int place = 0; place + 1 < id.length(); place++) {
        if (id.charAt(place) != id.charAt(place + 1)) {
          String swapped =
              id.substring(0, place)
                  + id.charAt(place + 1)
                  + id.charAt(place)
                  + id.substring(place + 2);
          assertThat(PublicId.read(swapped)).isInstanceOf(PublicId.Reading.Mistyped.class);
        }
      }
    }
  }

  @Test
  void aSoundIdIsReadHoweverItIsTyped() {
    PublicId id = PublicId.random(random);
    String typed = id.text().toUpperCase(java.util.Locale.ROOT).replace('0', 'O').replace('1', 'L');
    String hyphenated = typed.substring(0, 5) + "-" + typed.substring(5);
    assertThat(PublicId.read(hyphenated)).isEqualTo(new PublicId.Reading.Sound(id));
  }

  @Test
  void nothingElseIsAnId() {
    for (String typed : new String[] {"", "abc", "u".repeat(10), "é".repeat(10), "0".repeat(500)}) {
      assertThat(PublicId.read(typed)).isInstanceOf(PublicId.Reading.Mistyped.class);
    }
  }
}
