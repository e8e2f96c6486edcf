package org.quietlantern.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** What a group keeps of its searching: revisions, notes; and how a newcomer finds the way. */
class SavedTest {
  @RegisterExtension private static final Browsing BROWSING = new Browsing();

  private static Locator button(Locator in, String name) {
    return in.getByRole(
        AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(name).setExact(true));
  }

  private static int number(Locator in) {
    return Integer.parseInt(in.innerText().replaceAll("\\D", ""));
  }

  private static String folderOf(Person person, String name) {
    person.go("Folders").link(name).click();
    person.page().getByLabel("Saved searches").waitFor();
    return person.path();
  }

  @DisplayName("N7: a search is changed with gained and lost in sight, and checked by a colleague")
  @Test
  void revision() {
    try (Person maren = BROWSING.person("maren");
        Person teodor = BROWSING.person("teodor")) {
      folderOf(maren, "Moth declines");
      maren.link("Light traps and skyglow").click();
      maren.link("Change it on the sheet").click();
      assertThat(maren.line(1)).hasValue("\"light traps\" and skyglow");
      Locator changing = maren.region("Changing a saved search");
      assertThat(changing).containsText("nothing is changed yet");
      maren.line(1).fill("\"light traps\" and (skyglow or glare)");
      maren.line(1).press("Enter");
      button(changing, "Save as revision 2").click();
      Locator dialog = maren.page().getByRole(AriaRole.DIALOG);
      assertThat(maren.region("gained").getByRole(AriaRole.LISTITEM).first()).isVisible();
      int gained = number(maren.region("gained").getByRole(AriaRole.HEADING));
      assertThat(gained).isPositive();
      assertThat(maren.region("lost")).containsText("0 lost");
      dialog.getByRole(AriaRole.TEXTBOX).fill("glare is what drivers complain of");
      button(dialog, "Save").click();
      Locator second = maren.region("Revision 2");
      assertThat(second).containsText(gained + " gained, 0 lost");
      assertThat(second).containsText("glare is what drivers complain of");
      button(second, "Give it to be checked").click();
      dialog.getByRole(AriaRole.COMBOBOX).selectOption("Teodor Vance");
      button(dialog, "Give it").click();
      assertThat(second).containsText("Given to Teodor Vance to check");

      teodor.go("Folders");
      teodor.link("Light traps and skyglow, revision 2").click();
      Locator shown = teodor.region("Revision 2");
      button(shown, "Remark").click();
      shown.getByRole(AriaRole.TEXTBOX).fill("and “dazzle”?");
      shown.getByRole(AriaRole.TEXTBOX).press("Enter");
      button(shown, "I have checked it").click();
      assertThat(shown).containsText("Checked by Teodor Vance");
      assertThat(second).containsText("and “dazzle”?");
      second.getByRole(AriaRole.LINK).filter(having("gained")).click();
      assertThat(maren.button("gained " + gained)).isVisible();
    }
  }

  private static Locator.FilterOptions having(String text) {
    return new Locator.FilterOptions().setHasText(text);
  }

  @DisplayName(
      "A journal is found by the title it had, and searched in; its field is kept as a note")
  @Test
  void journalAndGlance() {
    try (Person sefa = BROWSING.person("sefa")) {
      Page page = sefa.go("Catalogue").page();
      sefa.link("Journals").click();
      page.getByLabel("Words of a title, or an ISSN").fill("lamp street");
      Locator found = page.getByLabel("Journals found");
      assertThat(found).containsText("formerly Lamp and Street");
      found.getByRole(AriaRole.LINK).click();
      Locator pane = sefa.region("Journal");
      assertThat(pane).containsText("Until 2002 called Lamp and Street");
      assertThat(pane).containsText(Pattern.compile("Volume \\d+, issue \\d+"));
      Matcher here = new Matcher(pane.innerText(), "([\\d,]+) publications? here");
      pane.getByText("Search only here").click();
      Locator status = page.getByLabel("Result").getByRole(AriaRole.STATUS);
      assertThat(status).hasText(Pattern.compile("^" + here.group() + " publications?$"));
      assertThat(page.getByLabel("Sheet")).containsText("Lamp and Street");
      sefa.page().getByLabel("Line 2").waitFor();
      page.waitForURL(Pattern.compile(".*/q/.*"));
      sefa.button("The field at a glance").click();
      Locator glance = sefa.region("The field at a glance");
      assertThat(glance).containsText("Most cited");
      assertThat(glance).containsText("Main headings");
      button(glance, "Keep as a note of today").click();
      Locator dialog = page.getByRole(AriaRole.DIALOG);
      dialog.getByRole(AriaRole.COMBOBOX).selectOption("Reading group");
      button(dialog, "Keep").click();
      assertThat(dialog).hasCount(0);
      sefa.go("Folders").link("Reading group").click();
      page.getByLabel("Notes").getByRole(AriaRole.LINK).click();
      assertThat(page.getByRole(AriaRole.HEADING).first()).containsText("The field at a glance");
      assertThat(page.getByText("Kept by Sefa Lautala")).isVisible();
    }
  }

  /** A part of a text that a pattern finds. */
  private record Matcher(String text, String pattern) {
    String group() {
      java.util.regex.Matcher found = Pattern.compile(pattern).matcher(text);
      assertThat(found.find()).as(text).isTrue();
      return found.group(1);
    }
  }

  @DisplayName("A steward has a source tried now and reads what came of it; others only read")
  @Test
  void triedNow() {
    try (Person ilse = BROWSING.person("ilse");
        Person teodor = BROWSING.person("teodor")) {
      Locator latest = harvests(ilse).first();
      String before = latest.innerText();
      ilse.exactly("Try now").click();
      latest = harvests(ilse).first();
      assertThat(latest)
          .not()
          .hasText(before, new LocatorAssertions.HasTextOptions().setTimeout(90_000));
      ilse.exactly("Try now").waitFor();
      assertThat(harvests(teodor).first()).hasText(latest.innerText());
      assertThat(teodor.exactly("Try now")).hasCount(0);
    }
  }

  private static Locator harvests(Person person) {
    String group = person.path().split("/")[2];
    person.page().navigate(BROWSING.lantern().address() + "/g/" + group + "/catalogue/sources");
    person.button("Harvests of The Night Index").click();
    return person.page().getByLabel("Harvests, the newest first").getByRole(AriaRole.LISTITEM);
  }

  @DisplayName("A first search in five steps: left at any time, and never back unasked")
  @Test
  void guide() {
    try (Person jon = BROWSING.person("jon")) {
      Page page = jon.page();
      jon.exactly("Begin").click();
      Locator guide = jon.region("A first search");
      assertThat(guide).containsText("1 of 5");
      jon.exactly("Do it for me").click();
      assertThat(jon.line(1)).hasValue("moths street lights");
      assertThat(guide).containsText("Done.");
      button(guide, "Next step").click();
      jon.line(1).fill("moths");
      jon.line(2).fill("street lights");
      assertThat(guide).containsText("Done.");
      button(guide, "Next step").click();
      jon.exactly("Do it for me").click();
      assertThat(jon.line(1)).hasValue("moths or lepidoptera");
      button(guide, "Next step").click();
      jon.exactly("Do it for me").click();
      assertThat(page.getByLabel("Sheet")).containsText("this year and the 3 before it");
      button(guide, "Next step").click();
      jon.line(1).press("Enter");
      assertThat(guide).containsText("Done.");
      jon.exactly("Finish").click();
      assertThat(guide).hasCount(0);
      page.navigate(page.url().replaceAll("/q/.*", "/search"));
      jon.line(1).waitFor();
      page.getByText("Lines to try").waitFor();
      assertThat(jon.exactly("Begin")).hasCount(0);
      page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Help")).first().click();
      assertThat(page.getByRole(AriaRole.HEADING).first()).hasText("Searching");
      page.getByText("heading/narrower: \"Bats\"").click();
      assertThat(jon.line(1)).hasValue("heading/narrower: \"Bats\"");
      jon.exactly("left after it").click();
      assertThat(page.getByRole(AriaRole.NOTE)).containsText("The last line shows the result");
    }
  }
}
