package org.quietlantern.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Keyboard;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.SelectOption;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;

/** Somebody is asked in by mail, works in the group, and leaves it. */
class GroupTest {
  private static final Keyboard.TypeOptions FAST = new Keyboard.TypeOptions().setDelay(12);
  private static final String EMAIL = "nora@elsewhere.example";
  private static Lantern lantern;
  private static Chromium chromium;

  @BeforeAll
  static void open() {
    lantern = Lantern.prepared();
    chromium = new Chromium();
  }

  @AfterAll
  static void close() {
    chromium.close();
    lantern.close();
  }

  private static Locator region(Person person, String name) {
    return person
        .page()
        .getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName(name).setExact(true));
  }

  @DisplayName("Asked in, joined, kept and answered, seen on the other's Today, undone, left")
  @Test
  void story() {
    try (Person ilse = new Person(chromium.browser(), lantern).signIn("ilse");
        Person nora = new Person(chromium.browser(), lantern)) {
      String code = askIn(ilse);
      nora.page().navigate(lantern.address() + "/join#" + code);
      assertThat(nora.text("as member. You come in as")).isVisible();
      // The name and the password at once, as whoever has them ready.
      nora.page().keyboard().type("Nora Field", FAST);
      nora.page().keyboard().press("Tab");
      nora.page().keyboard().type("verge-by-night", FAST);
      nora.page().keyboard().press("Enter");
      nora.page().waitForURL(Pattern.compile(".*/g/[^/]+/today"));
      assertThat(region(nora, "Waits for you")).containsText("Nothing waits for you.");
      assertThat(region(ilse, "Members")).containsText("Nora Field");
      assertThat(region(ilse, "Asked in")).not().containsText(EMAIL);

      String title = mention(ilse);
      nora.page().reload();
      assertThat(region(nora, "Waits for you")).containsText("which lamps?");
      nora.link("Answer: " + title).click();
      nora.exactly("Answer").click();
      nora.page().keyboard().type("Sodium, I think.", FAST);
      nora.exactly("Answer").last().click();
      assertThat(nora.page().getByLabel("Remarks")).containsText("Sodium, I think.");
      nora.go("Today");
      assertThat(region(nora, "Waits for you")).containsText("Nothing waits for you.");

      keep(nora);
      ilse.go("Today");
      assertThat(region(ilse, "Done by the others")).containsText("Nora Field kept");
      nora.go("Today").link("All that was done").click();
      nora.exactly("Undo").first().click();
      assertThat(nora.text("taken back since").first()).isVisible();
      ilse.page().reload();
      assertThat(region(ilse, "Done by the others")).containsText("Nora Field said something");
      assertThat(region(ilse, "Done by the others")).not().containsText("Nora Field kept");
      leave(nora);
      assertThat(region(ilse, "Done by the others")).not().containsText("Nora Field");
      nora.page().navigate(lantern.address() + "/join#" + code);
      assertThat(nora.page().getByRole(AriaRole.ALERT)).containsText("used already");
    }
  }

  /** Answers what stands in the link of the letter. */
  private static String askIn(Person ilse) {
    ilse.link("Tern Hollow night ecology").click();
    ilse.page().getByLabel("E-mail address").click();
    ilse.page().keyboard().type(EMAIL, FAST);
    ilse.page().keyboard().press("Enter");
    // Pressed once more by whoever is in a hurry: one invitation all the same.
    ilse.page().keyboard().press("Enter");
    assertThat(region(ilse, "Asked in")).containsText("the letter is sent");
    assertThat(region(ilse, "Asked in").getByRole(AriaRole.LISTITEM)).hasCount(1);
    return lantern.letters().replaceFirst("(?s).*/join#([\\w-]+).*", "$1");
  }

  private static String mention(Person ilse) {
    ilse.newSheet().search("moth*");
    Locator row = ilse.page().getByLabel("Publications found").locator("a.font-serif").first();
    String title = row.innerText().strip();
    row.click();
    Locator say = ilse.page().getByLabel("Say something to the group");
    say.click();
    ilse.page().keyboard().type("@Nora Field which lamps?", FAST);
    ilse.page().keyboard().press("Control+Enter");
    assertThat(ilse.page().getByLabel("Remarks")).containsText("which lamps?");
    return title;
  }

  private static void keep(Person nora) {
    nora.newSheet().search("bat*");
    nora.page().getByLabel("Publications found").locator("a.font-serif").nth(2).click();
    nora.page().getByLabel("Say something to the group").waitFor();
    // A key counts half a second after the last letter that was typed.
    nora.page().waitForTimeout(700);
    nora.page().keyboard().press("n");
    nora.page().getByLabel("Folder").selectOption(new SelectOption().setLabel("Verge lighting"));
    nora.page().getByLabel("Why").fill("for the verge");
    nora.page().keyboard().press("Enter");
    assertThat(nora.page().getByRole(AriaRole.DIALOG)).hasCount(0);
  }

  private static void leave(Person nora) {
    nora.link("Tern Hollow night ecology").click();
    nora.button("Leave the group").click();
    nora.exactly("Leave").click();
    assertThat(nora.button("Found the group")).isVisible();
  }
}
