package org.quietlantern.core.publication;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class NamesakesTest {
  @DisplayName("Names may be one person's where no given name speaks against it")
  @ParameterizedTest
  @CsvSource({
    "Oxlade, Anna, Oxlade, A., true",
    "Oxlade, Anna Maria, Oxlade, A, true",
    "Oxlade, AM, Oxlade, Anna Maria, true",
    "Oxlade, A.-M., Oxlade, Anna, true",
    "Øxlåde, ANNA, Oxlade, anna, true",
    "Oxlade, Anna, Oxlade, Anne, false",
    "Oxlade, Anna M., Oxlade, Anna P., false",
    "Oxlade, Anna, Oxley, Anna, false",
    "Bat Trust, '', Bat Trust, '', true",
    "Oxlade, Anna, Oxlade, '', false",
    "Wei, Bo, Wei, B., true",
    "Wei, Bo, Wei, C., false"
  })
  void mayBeOne(String family, String given, String otherFamily, String otherGiven, boolean may) {
    PersonName one = new PersonName(family, given);
    PersonName other = new PersonName(otherFamily, otherGiven);
    assertThat(Namesakes.mayBeOne(one, other)).isEqualTo(may);
    assertThat(Namesakes.mayBeOne(other, one)).isEqualTo(may);
  }
}
