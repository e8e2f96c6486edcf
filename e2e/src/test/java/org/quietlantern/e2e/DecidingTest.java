package org.quietlantern.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Keyboard;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

class DecidingTest {
  @RegisterExtension private static final Browsing BROWSING = new Browsing();

  private static final Keyboard.TypeOptions FAST = new Keyboard.TypeOptions().setDelay(60);
  private static final int A_PAUSE = 700;

  private static Locator work(Person who) {
    return who.page().getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(2)).first();
  }

  private static Locator agenda(Person who) {
    return who.page()
        .getByRole(AriaRole.NAVIGATION, new Page.GetByRoleOptions().setName("Agenda"))
        .getByRole(AriaRole.LISTITEM);
  }

  private static Locator count(Person who) {
    return who.region("This meeting").getByRole(AriaRole.STATUS);
  }

  private static Locator words(Person who) {
    return who.page().getByLabel("What is to be remembered of it");
  }

  /** After what was typed a key is a key again. */
  private static void press(Person who, String key) {
    who.page().waitForTimeout(A_PAUSE);
    who.page().keyboard().press(key);
  }

  /** Raises three works where they are searched for. */
  private static void raised(Person who) {
    who.newSheet().search("title: bat*");
    press(who, "j");
    for (int n = 0; n < 3; n++) {
      press(who, "3");
      assertThat(who.page().getByText(Pattern.compile("^Raised"))).isVisible();
    }
  }

  private static String called(Person who) {
    who.go("Arrivals").link("Meetings").click();
    who.button("Call a meeting").click();
    Locator dialog = who.page().getByRole(AriaRole.DIALOG);
    dialog.getByLabel("Where").fill("The hide");
    Views.sound(who);
    dialog.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Call it")).click();
    who.link("The hide").click();
    assertThat(who.exactly("Begin…")).isVisible();
    Views.sound(who);
    return who.path();
  }

  private static void begun(Person who) {
    who.exactly("Begin…").click();
    Locator dialog = who.page().getByRole(AriaRole.DIALOG);
    dialog.getByLabel("Noor Hallam").uncheck();
    dialog
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Begin").setExact(true))
        .click();
    assertThat(count(who)).containsText("0 of ");
  }

  @DisplayName("A group meets: by keyboard, two writing at once, a reload, slow answers, minutes")
  @Test
  void meets() {
    try (Person ilse = BROWSING.person("ilse");
        Person teodor = BROWSING.person("teodor")) {
      raised(ilse);
      String meeting = called(ilse);
      begun(ilse);
      teodor.page().navigate(BROWSING.lantern().address() + meeting);
      String first = work(ilse).innerText();
      assertThat(work(teodor)).hasText(first);

      ilse.page().keyboard().press("n");
      ilse.page().keyboard().type("It has the hours that we lack.", FAST);
      ilse.page().keyboard().press("Escape");
      ilse.page().keyboard().press("1");
      assertThat(ilse.text("came while you were typing")).isVisible();
      press(ilse, "1");
      assertThat(count(ilse)).containsText("1 of ");
      assertThat(work(ilse)).not().hasText(first);
      assertThat(agenda(ilse).first()).containsText("kept");

      // The other one stays where they are, is told, and does not write over it by a slip.
      assertThat(teodor.text("written down by Ilse Brandvold")).isVisible();
      assertThat(work(teodor)).hasText(first);
      teodor.page().keyboard().press("2");
      assertThat(teodor.text("Ilse Brandvold has just written something down")).isVisible();
      assertThat(words(teodor)).hasValue("It has the hours that we lack.");
      teodor.page().waitForTimeout(1600);
      teodor.page().keyboard().press("2");
      assertThat(agenda(ilse).first()).containsText("passed");
      assertThat(agenda(teodor).first()).containsText("passed");
      Views.sound(teodor);

      // A reload in the middle of a sentence.
      String second = work(ilse).innerText();
      words(ilse).click();
      ilse.page().keyboard().type("Half a senten", FAST);
      ilse.page().reload();
      assertThat(work(ilse)).hasText(second);
      assertThat(words(ilse)).hasValue("Half a senten");

      // Slow answers, and impatience: one decision, and the next work keeps its own.
      ilse.page()
          .route(
              Pattern.compile(".*/decisions$"),
              route -> {
                ilse.page().waitForTimeout(900);
                route.resume();
              });
      press(ilse, "3");
      ilse.page().keyboard().press("3");
      ilse.page().keyboard().press("2");
      assertThat(agenda(ilse).nth(1)).containsText("left open");
      assertThat(count(ilse)).containsText("1 of ");
      assertThat(work(ilse)).not().hasText(second);
      assertThat(agenda(ilse).nth(2)).not().containsText(Pattern.compile("kept|passed|left open"));
      assertThat(words(ilse)).hasValue("");
      press(ilse, "0");
      assertThat(agenda(ilse).nth(1)).not().containsText("left open");
      Views.sound(ilse);

      ilse.button("End the meeting").click();
      assertThat(ilse.link("Minutes")).isVisible();
      assertThat(ilse.text("1 of ")).isVisible();
      Views.sound(ilse);
      assertThat(teodor.link("Minutes")).isVisible();
      ilse.link("Minutes").click();
      assertThat(ilse.page().getByRole(AriaRole.ARTICLE)).containsText("Not there: Noor Hallam");
      assertThat(ilse.page().getByRole(AriaRole.ARTICLE)).containsText("1. Passed");
      ilse.exactly("Keep in a folder").click();
      ilse.page()
          .getByRole(AriaRole.DIALOG)
          .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Keep").setExact(true))
          .click();
      assertThat(ilse.text(Pattern.compile("Kept in .* as it is today"))).isVisible();
    }
  }
}
