package org.quietlantern.core.reference;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Text as LaTeX reads it. */
class LatexTextTest {
  @DisplayName("Signs of LaTeX are written as signs, letters stay as they are")
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      quoteCharacter = '`',
      value = {
        "R&D at 50 % of $4_a{b}  | R\\&D at 50 \\% of \\$4\\_a\\{b\\}",
        "a\\input{x} ~ ^         | a\\textbackslash{}input\\{x\\} \\textasciitilde{} \\textasciicircum{}",
        "Müller–Łoś              | Müller–Łoś",
      })
  void signs(String text, String wanted) {
    assertThat(new LatexText(false).plain(text)).isEqualTo(wanted);
  }

  @DisplayName("As commands: accents, several on one letter, letters of their own, signs of print")
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      quoteCharacter = '`',
      value = {
        "Müller        | M{\\\"{u}}ller",
        "Łoś           | {\\L}o{\\'{s}}",
        "Nguyễn        | Nguy{\\~{{\\^{e}}}}n",
        "Ångström      | {\\r{A}}ngstr{\\\"{o}}m",
        "Straße        | Stra{\\ss}e",
        "“a” – b’s     | ``a'' -- b's",
        "Иванов 30 °C  | Иванов 30 {\\textdegree}C",
      })
  void commands(String text, String wanted) {
    assertThat(new LatexText(true).plain(text)).isEqualTo(wanted);
  }

  @DisplayName("Markup becomes commands; what is not closed in its order are words")
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "On <i>Noctua</i> & CO<sub>2</sub> | On \\textit{Noctua} \\& CO\\textsubscript{2}",
        "On <i>Noctua                      | On <i>Noctua",
        "<i>a<b>b</i></b>                  | <i>a<b>b</i></b>",
      })
  void markup(String text, String wanted) {
    assertThat(new LatexText(false).marked(text)).isEqualTo(wanted);
  }

  @DisplayName("Capitals that count in titles are braced")
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "Moths at LED lamps in Latvia        | Moths at {LED} lamps in {Latvia}",
        "Where Moths Rest Under Road Lamps   | Where Moths Rest Under Road Lamps",
        "Where Moths Rest Under LED Lamps    | Where Moths Rest Under {LED} Lamps",
        "pH and rest                         | {pH} and rest",
        "Flight of <i>Noctua pronuba</i>     | Flight of \\textit{{Noctua} pronuba}",
        "Daubenton’s bats & {lamps}          | Daubenton’s bats \\& \\{lamps\\}",
      })
  void titles(String title, String wanted) {
    assertThat(ProtectedTitle.of(title, new LatexText(false))).isEqualTo(wanted);
  }
}
