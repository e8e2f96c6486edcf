package org.quietlantern.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Keyboard;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.SelectOption;
import java.util.regex.Pattern;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

class ApartTest {
  @RegisterExtension private static final Browsing BROWSING = new Browsing();

  private static final Keyboard.TypeOptions FAST = new Keyboard.TypeOptions().setDelay(60);
  private static final String ALERT = "Moths, decided apart";

  private static Locator leaf(Person who) {
    return who.page().getByLabel("Leaf", new Page.GetByLabelOptions().setExact(true));
  }

  private static Locator said(Person who, String name) {
    return leaf(who)
        .getByRole(AriaRole.LISTITEM)
        .filter(new Locator.FilterOptions().setHasText(name));
  }

  private static void set(Person who) {
    who.newSheet().search("title: moth*");
    who.exactly("Set an alert").click();
    Locator dialog = who.page().getByRole(AriaRole.DIALOG);
    dialog.getByLabel("Name of the search and its alert").fill(ALERT);
    Locator apart = dialog.getByLabel(Pattern.compile("^Keeps and passes, apart"));
    assertThat(apart).isDisabled();
    dialog.getByLabel("Members who look at an arrival").fill("2");
    apart.check();
    dialog.getByLabel("Members who look at an arrival").fill("1");
    assertThat(dialog.getByLabel("A keep or a pass")).isChecked();
    dialog.getByLabel("Members who look at an arrival").fill("2");
    assertThat(apart).isChecked();
    dialog.getByLabel("What is here already").selectOption(new SelectOption().setIndex(1));
    Views.sound(who);
    dialog.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Set alert")).click();
    assertThat(who.text("“" + ALERT + "” is watched.")).isVisible();
  }

  private static Locator open(Person who) {
    who.go("Arrivals").link(ALERT).first().click();
    Locator rows = who.page().getByLabel("Arrivals").last().locator("> li");
    assertThat(leaf(who)).containsText("2 members decide on it apart");
    return rows;
  }

  @DisplayName("Two decide apart, in two browsers: nothing is told before, all of it after")
  @Test
  void apart() {
    try (Person ilse = BROWSING.person("ilse");
        Person teodor = BROWSING.person("teodor")) {
      set(ilse);
      open(ilse);
      Keyboard keys = ilse.page().keyboard();
      keys.press("n");
      keys.type("counts them by night", FAST);
      keys.press("Enter");
      ilse.page().waitForTimeout(700);
      keys.press("1");
      assertThat(ilse.text("It comes into the folder when the others have decided.")).isVisible();
      keys.press("k");
      assertThat(said(ilse, "Ilse Brandvold")).containsText("counts them by night");
      Views.sound(ilse);

      open(teodor);
      assertThat(said(teodor, "Ilse Brandvold")).containsText("reviewed");
      assertThat(leaf(teodor)).not().containsText("counts them by night");
      Views.sound(teodor);
      teodor.page().keyboard().press("2");
      assertThat(teodor.page().getByText(Pattern.compile("^Passed"))).isVisible();
      teodor.page().keyboard().press("k");
      assertThat(said(teodor, "Ilse Brandvold")).containsText("“counts them by night”");
      assertThat(said(teodor, "Ilse Brandvold")).containsText("keep");
      assertThat(leaf(teodor)).not().containsText("decide on it apart");

      ilse.page().reload();
      assertThat(said(ilse, "Teodor Vance")).containsText("pass");
      ilse.go("Alerts").link(ALERT).click();
      assertThat(ilse.page().getByText("2 members decide on each arrival apart")).isVisible();
      ilse.text("How far we agree").click();
      assertThat(ilse.text("1 work decided on apart, 1 of them counted here.")).isVisible();
      assertThat(ilse.page().getByRole(AriaRole.TABLE).first()).containsText("too few works");
      Views.sound(ilse);
    }
  }
}
