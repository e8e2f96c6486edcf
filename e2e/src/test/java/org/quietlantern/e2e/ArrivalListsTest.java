package org.quietlantern.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Keyboard;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

class ArrivalListsTest {
  @RegisterExtension private static final Browsing BROWSING = new Browsing();

  /** Somebody who reviews without looking at the keys. */
  private static final Keyboard.TypeOptions FAST = new Keyboard.TypeOptions().setDelay(100);

  private static Locator open(Person who, String list) {
    who.go("Arrivals");
    who.page()
        .getByLabel("Lists of arrivals")
        .getByRole(AriaRole.LINK)
        .filter(new Locator.FilterOptions().setHasText(Pattern.compile("^" + list)))
        .click();
    return who.page().getByLabel(list, new Page.GetByLabelOptions().setExact(true)).locator("> li");
  }

  private static Locator count(Person who) {
    return who.region("This list").getByRole(AriaRole.STATUS);
  }

  private static Locator leaf(Person who) {
    return who.page().getByLabel("Leaf", new Page.GetByLabelOptions().setExact(true));
  }

  private static String title(Locator row) {
    return row.getByRole(AriaRole.LINK).first().innerText();
  }

  private static Locator placeOfArrivals(Person who) {
    return who.page()
        .getByRole(AriaRole.NAVIGATION)
        .first()
        .getByRole(AriaRole.LINK, new Locator.GetByRoleOptions().setName("Arrivals"));
  }

  @DisplayName(
      "What is left, by keyboard at full speed: nothing moves below the hand, nothing lost")
  @Test
  void left() {
    try (Person ilse = BROWSING.person("ilse")) {
      Locator rows = open(ilse, "Left for you");
      assertThat(count(ilse)).containsText("left for you");
      int left = Integer.parseInt(count(ilse).innerText().replaceAll("\\D", ""));
      List<String> titles = IntStream.range(0, 5).mapToObj(n -> title(rows.nth(n))).toList();
      ilse.page().keyboard().type("2222", FAST);
      assertThat(count(ilse)).containsText(left - 4 + " left for you");
      for (int n = 0; n < 4; n++) {
        assertThat(rows.nth(n)).containsText(titles.get(n));
        assertThat(rows.nth(n)).containsText("no more in this list");
      }
      assertThat(rows.nth(4)).not().containsText("no more");
      assertThat(rows.nth(4)).hasAttribute("aria-current", "true");
      assertThat(placeOfArrivals(ilse)).containsText(Integer.toString(left - 4));
      ilse.page().keyboard().press("0");
      assertThat(count(ilse)).containsText(left - 3 + " left for you");
      assertThat(rows.nth(3)).not().containsText("no more");
      Views.sound(ilse);
      ilse.page().reload();
      assertThat(rows.first()).containsText(titles.get(3));
      assertThat(count(ilse)).containsText(left - 3 + " left for you");
      rows.first().getByRole(AriaRole.LINK).last().click();
      assertThat(ilse.region("This round")).isVisible();
      ilse.page().goBack();
      assertThat(rows.first()).containsText(titles.get(3));
    }
  }

  @DisplayName("Several at once with one reason, by keyboard: one act, taken back as one")
  @Test
  void severalAtOnce() {
    try (Person teodor = BROWSING.person("teodor")) {
      Locator rows = open(teodor, "Left for you");
      assertThat(count(teodor)).containsText("left for you");
      int left = Integer.parseInt(count(teodor).innerText().replaceAll("\\D", ""));
      // All of one round, that it is one act.
      String round = rows.first().getByRole(AriaRole.LINK).last().innerText();
      assertThat(rows.nth(2).getByRole(AriaRole.LINK).last()).hasText(round);
      Keyboard keys = teodor.page().keyboard();
      keys.type("xjxjx", FAST);
      assertThat(teodor.page().getByText("3 arrivals ticked")).isVisible();
      Views.sound(teodor);
      keys.press("n");
      keys.type("not our animals", FAST);
      keys.press("Enter");
      // A digit typed on the heels of words is no mark.
      keys.press("2");
      assertThat(teodor.page().getByText("came while you were typing")).isVisible();
      teodor.page().waitForTimeout(700);
      keys.press("2");
      assertThat(teodor.page().getByText("Passed: 3 publications.")).isVisible();
      assertThat(count(teodor)).containsText(left - 3 + " left for you");
      assertThat(teodor.page().getByText("arrivals ticked")).hasCount(0);
      for (int n = 0; n < 3; n++) {
        assertThat(rows.nth(n)).containsText("no more in this list");
      }
      rows.nth(1).click();
      assertThat(leaf(teodor)).containsText("“not our animals”");
      keys.press("0");
      assertThat(count(teodor)).containsText(left + " left for you");
    }
  }

  @DisplayName("One keeps, another passes: both see it in one list, until one thinks again")
  @Test
  void disagreement() {
    try (Person sefa = BROWSING.person("sefa");
        Person teodor = BROWSING.person("teodor")) {
      // The others have said nothing of these.
      Locator rows = open(sefa, "Seen by nobody");
      String title = title(rows.first());
      rows.first().click();
      sefa.page().keyboard().press("1");
      assertThat(rows.first()).containsText("no more in this list");
      String link = rows.first().getByRole(AriaRole.LINK).first().getAttribute("href");
      teodor.page().navigate(BROWSING.lantern().address() + link);
      teodor.page().getByText(title).first().waitFor();
      teodor.exactly("Pass2").or(teodor.button("Pass")).first().click();
      assertThat(teodor.text("Passed")).isVisible();
      Locator.FilterOptions it = new Locator.FilterOptions().setHasText(title);
      Locator his = open(teodor, "We disagree").filter(it);
      Locator hers = open(sefa, "We disagree").filter(it);
      assertThat(his).hasCount(1);
      assertThat(hers).hasCount(1);
      int disputed = Integer.parseInt(count(sefa).innerText().replaceAll("\\D", ""));
      his.click();
      assertThat(leaf(teodor).getByRole(AriaRole.HEADING).first()).hasText(title);
      assertThat(leaf(teodor)).containsText("keep");
      assertThat(leaf(teodor)).containsText("pass");
      teodor.page().keyboard().press("5");
      assertThat(his).containsText("no more in this list");
      assertThat(count(teodor)).containsText(disputed - 1 + " we disagree");
      // The other one is told, wherever they look.
      assertThat(count(sefa)).containsText(disputed - 1 + " we disagree");
      assertThat(hers).containsText("no more in this list");
      teodor.page().reload();
      assertThat(count(teodor)).containsText(disputed - 1 + " we disagree");
      assertThat(his).hasCount(0);
    }
  }
}
