package org.quietlantern.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Keyboard;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.SelectOption;
import java.util.regex.Pattern;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Somebody is asked in by mail, works in the group, and leaves it. */
class GroupTest {
  private static final Keyboard.TypeOptions FAST = new Keyboard.TypeOptions().setDelay(12);
  private static final String EMAIL = "nora@elsewhere.example";
  @RegisterExtension private static final Browsing BROWSING = new Browsing();

  @DisplayName("Asked in, joined, kept and answered, seen on the other's Today, undone, left")
  @Test
  void story() {
    try (Person ilse = BROWSING.person("ilse");
        Person nora = BROWSING.stranger()) {
      String code = askIn(ilse);
      nora.page().navigate(BROWSING.lantern().address() + "/join#" + code);
      assertThat(nora.text("as member. You come in as")).isVisible();
      // The name and the password at once, as whoever has them ready.
      nora.page().keyboard().type("Nora Field", FAST);
      nora.page().keyboard().press("Tab");
      nora.page().keyboard().type("verge-by-night", FAST);
      nora.page().keyboard().press("Enter");
      nora.page().waitForURL(Pattern.compile(".*/g/[^/]+/today"));
      assertThat(nora.region("Waits for you")).containsText("Nothing waits for you.");
      assertThat(ilse.region("Members")).containsText("Nora Field");
      assertThat(ilse.region("Asked in")).not().containsText(EMAIL);

      String title = mention(ilse);
      nora.page().reload();
      assertThat(nora.region("Waits for you")).containsText("which lamps?");
      nora.link("Answer: " + title).click();
      nora.exactly("Answer").click();
      nora.page().keyboard().type("Sodium, I think.", FAST);
      nora.exactly("Answer").last().click();
      assertThat(nora.page().getByLabel("Remarks")).containsText("Sodium, I think.");
      nora.go("Today");
      assertThat(nora.region("Waits for you")).containsText("Nothing waits for you.");

      keep(nora);
      ilse.go("Today");
      assertThat(ilse.region("Done by the others")).containsText("Nora Field kept");
      nora.go("Today").link("All that was done").click();
      nora.exactly("Undo").first().click();
      assertThat(nora.text("taken back since").first()).isVisible();
      ilse.page().reload();
      assertThat(ilse.region("Done by the others")).containsText("Nora Field said something");
      assertThat(ilse.region("Done by the others")).not().containsText("Nora Field kept");
      leave(nora);
      assertThat(ilse.region("Done by the others")).not().containsText("Nora Field");
      nora.page().navigate(BROWSING.lantern().address() + "/join#" + code);
      assertThat(nora.page().getByRole(AriaRole.ALERT)).containsText("used already");
    }
  }

  @DisplayName("From a remark to a colleague's task, found on their Today, and what came of it")
  @Test
  void task() {
    try (Person ilse = BROWSING.person("ilse");
        Person teodor = BROWSING.person("teodor")) {
      ilse.newSheet().search("moth*");
      ilse.page().getByLabel("Publications found").locator("a.font-serif").nth(3).click();
      ilse.page().getByLabel("Say something to the group").click();
      ilse.page().keyboard().type("Who counted these moths?", FAST);
      ilse.page().keyboard().press("Control+Enter");
      Locator remarks = ilse.page().getByLabel("Remarks");
      assertThat(remarks).containsText("Who counted these moths?");
      remarks.getByText("To be looked up…").click();
      ilse.page()
          .getByLabel("Who does it")
          .selectOption(new SelectOption().setLabel("Teodor Vance"));
      // Twice, as whoever is in a hurry: one task all the same.
      Person.twice(ilse.exactly("Note it"));
      Locator tasks = ilse.region("To be looked up");
      assertThat(tasks.getByRole(AriaRole.LISTITEM)).hasCount(1);
      assertThat(tasks).containsText("Teodor Vance does it");

      teodor.go("Today");
      assertThat(teodor.region("Waits for you")).containsText("Who counted these moths?");
      teodor.link("See the task: Who counted these moths?").click();
      Locator line =
          teodor
              .page()
              .getByRole(AriaRole.LISTITEM)
              .filter(new Locator.FilterOptions().setHasText("Who counted these moths?"));
      line.getByText("Give up…").click();
      assertThat(teodor.exactly("Give it up")).isDisabled();
      teodor.page().keyboard().press("Escape");
      line.getByText("Done…").click();
      teodor.page().keyboard().type("Two students, by hand", FAST);
      teodor.exactly("It is done").click();
      assertThat(teodor.text("You have nothing to look up.")).isVisible();
      assertThat(tasks).containsText("1 task ended");
      tasks.getByText("1 task ended").click();
      assertThat(tasks).containsText("“Two students, by hand”");
      teodor.exactly("Undo").click();
      assertThat(line).containsText("Teodor Vance does it");
      assertThat(tasks).containsText("Teodor Vance does it");
    }
  }

  @DisplayName("A forgotten password: asked for, found in the letter, another one, and in")
  @Test
  void forgotten() {
    try (Person sefa = BROWSING.stranger()) {
      sefa.page().navigate(BROWSING.lantern().address() + "/sign-in");
      sefa.page().getByLabel("E-mail").fill("sefa@ternhollow.example");
      sefa.link("I forgot my password").click();
      assertThat(sefa.page().getByLabel("E-mail")).hasValue("sefa@ternhollow.example");
      sefa.page().keyboard().press("Enter");
      assertThat(sefa.text("its letter is on the way")).isVisible();
      String code = "";
      for (int i = 0; i < 40 && code.isEmpty(); i++) {
        sefa.page().waitForTimeout(500);
        String letters = BROWSING.lantern().letters();
        code =
            letters.contains("/enter#")
                ? letters.replaceFirst("(?s).*/enter#([\\w-]+).*", "$1")
                : "";
      }
      sefa.page().navigate(BROWSING.lantern().address() + "/enter#" + code);
      assertThat(sefa.text("Another password for")).isVisible();
      sefa.page().keyboard().type("lamp-at-midnight", FAST);
      sefa.page().keyboard().press("Enter");
      sefa.page().waitForURL(Pattern.compile(".*/g/[^/]+/today"));
      sefa.page().navigate(BROWSING.lantern().address() + "/enter#" + code);
      sefa.page().reload();
      assertThat(sefa.page().getByRole(AriaRole.ALERT)).containsText("used already");
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
    assertThat(ilse.region("Asked in")).containsText("the letter is sent");
    assertThat(ilse.region("Asked in").getByRole(AriaRole.LISTITEM)).hasCount(1);
    return BROWSING.lantern().letters().replaceFirst("(?s).*/join#([\\w-]+).*", "$1");
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
