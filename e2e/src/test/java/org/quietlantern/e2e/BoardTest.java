package org.quietlantern.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Keyboard;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

class BoardTest {
  @RegisterExtension private static final Browsing BROWSING = new Browsing();
  private static final Keyboard.TypeOptions FAST = new Keyboard.TypeOptions().setDelay(100);

  private static Locator cells(Person who, String name) {
    return who.region("Board")
        .getByRole(AriaRole.LINK, new Locator.GetByRoleOptions().setName(Pattern.compile(name)));
  }

  private static Locator list(Person who, String name) {
    return who.page().getByLabel(name, new Page.GetByLabelOptions().setExact(true)).locator("> li");
  }

  private static int number(String text) {
    return Integer.parseInt(text.replaceAll("^\\D*(\\d+).*$", "$1"));
  }

  @DisplayName(
      "A number of the board leads to what it counts; what is marked there is marked there")
  @Test
  void leads() {
    try (Person ilse = BROWSING.person("ilse")) {
      ilse.go("Arrivals");
      ilse.page().getByLabel("Lists of arrivals").getByText("Board").click();
      Locator unseen = cells(ilse, "seen by nobody yet").last();
      assertThat(unseen).isVisible();
      Views.sound(ilse);
      int many = number(unseen.innerText());
      unseen.focus();
      ilse.page().keyboard().press("Enter");
      Locator bar = ilse.region("This round").getByRole(AriaRole.STATUS);
      assertThat(bar).containsText(many + " seen by nobody in this round");
      assertThat(list(ilse, "Arrivals")).hasCount(many);
      ilse.page().keyboard().type("22", FAST);
      assertThat(bar).containsText(many - 2 + " seen by nobody");
      // They stay where they were.
      assertThat(list(ilse, "Arrivals")).hasCount(many);
      ilse.page().keyboard().press("0");
      assertThat(bar).containsText(many - 1 + " seen by nobody");
      ilse.button("The whole round").click();
      assertThat(bar).containsText("left for you in this round");
      ilse.page().goBack();
      assertThat(list(ilse, "Arrivals")).hasCount(many - 1);
      ilse.page().goBack();
      assertThat(unseen).hasText(Integer.toString(many - 1));
      byWeekAndAlert(ilse);
    }
  }

  private static void byWeekAndAlert(Person ilse) {
    Locator rows = ilse.region("Board").locator("tbody tr");
    ilse.button("By week").click();
    assertThat(rows.first()).containsText("round");
    int weeks = rows.count();
    // The links of a week lead to its rounds.
    rows.last().getByRole(AriaRole.LINK).first().click();
    ilse.button("By round").click();
    assertThat(rows.first()).isVisible();
    ilse.page().goBack();
    assertThat(rows).hasCount(weeks);
    ilse.button("By alert").click();
    assertThat(rows.first()).containsText("rounds");
    Locator days = ilse.page().getByText(Pattern.compile("^Tern Hollow night ecology, "));
    assertThat(days).containsText("25 October 2026");
    ilse.page().getByLabel("How many days").selectOption("a year");
    assertThat(days).containsText("24 November 2025");
    // Nothing came before that, and tomorrow is not there yet.
    assertThat(ilse.button("Earlier")).isDisabled();
    assertThat(ilse.exactly("Later")).isDisabled();
  }

  @DisplayName("A heap is let rest and taken back; what is rested can be marked all the same")
  @Test
  void rest() {
    try (Person sefa = BROWSING.person("sefa")) {
      sefa.go("Arrivals");
      sefa.page()
          .getByLabel("Lists of arrivals")
          .getByText(Pattern.compile("^Left for you"))
          .click();
      Locator count = sefa.region("This list").getByRole(AriaRole.STATUS);
      assertThat(count).containsText("left for you");
      int left = number(count.innerText());
      sefa.button("Let rest…").click();
      Locator dialog = sefa.page().getByRole(AriaRole.DIALOG);
      assertThat(dialog).containsText("all alerts: " + left);
      Views.sound(sefa);
      dialog.getByText("Let " + left + " arrivals rest").click();
      assertThat(count).containsText("0 left for you");
      sefa.page().keyboard().press("0");
      assertThat(count).containsText(left + " left for you");
      sefa.button("Let rest…").click();
      // A second press on the heels of the first is the same act.
      dialog.getByText("Let " + left + " arrivals rest").dblclick();
      assertThat(count).containsText("0 left for you");
      sefa.page().getByLabel("Lists of arrivals").getByText("Rested, " + left).click();
      assertThat(count).containsText(left + " rested");
      Views.sound(sefa);
      String title = list(sefa, "Rested").first().getByRole(AriaRole.LINK).first().innerText();
      sefa.page().keyboard().press("5");
      assertThat(count).containsText(left - 1 + " rested");
      assertThat(list(sefa, "Rested").first()).containsText("no more in this list");
      sefa.page().getByLabel("What is shown").selectOption("said");
      assertThat(list(sefa, "Rested").first()).isVisible();
      assertThat(list(sefa, "Rested").allInnerTexts()).noneMatch(row -> row.contains(title));
      sefa.page().getByLabel("What is shown").selectOption("kept");
      assertThat(sefa.page().getByText(Pattern.compile("^(Learned from|Nothing to learn)")))
          .isVisible();
      assertThat(list(sefa, "Rested").first()).isVisible();
      assertThat(count).containsText(left - 1 + " rested");
    }
  }

  @DisplayName("On a telephone and without a mouse it is read all the same")
  @Test
  void narrow() {
    try (Person jon = BROWSING.person("jon")) {
      jon.page().setViewportSize(390, 800);
      jon.page().navigate(jon.page().url().replaceAll("(/g/[^/]+).*", "$1/board?by=alert"));
      assertThat(jon.region("Board").locator("tbody tr").first()).isVisible();
      Views.sound(jon);
      jon.page().setViewportSize(390, 800);
      jon.region("Board").focus();
      jon.page().keyboard().press("ArrowRight");
      jon.page().waitForFunction("document.querySelector('[aria-label=Board]').scrollLeft > 0");
    }
  }
}
