package org.quietlantern.e2e;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import com.microsoft.playwright.options.SelectOption;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;

/**
 * Makes the pictures of docs/screenshots from the demo's data; run by {@code ./lantern
 * screenshots}.
 */
@EnabledIfSystemProperty(named = "screenshots", matches = ".+")
class Screenshots {
  private final Path folder = Path.of(System.getProperty("screenshots", "."));

  @Test
  void all() {
    try (Lantern lantern = Lantern.whole();
        Chromium chromium = new Chromium()) {
      try (Person ilse = new Person(chromium.browser(), lantern)) {
        signIn(ilse, lantern);
        views(ilse);
      }
      try (Person ilse = new Person(chromium.browser(), lantern, 1280, 800, ColorScheme.DARK)) {
        ilse.signIn("ilse");
        bibliography(ilse);
      }
      try (Person teodor = new Person(chromium.browser(), lantern, 1280, 800, ColorScheme.LIGHT)) {
        teodor.signIn("teodor").go("Today");
        teodor.link("Look: So few. Which words do I miss?").click();
        teodor.text("Take this sheet").waitFor();
        teodor.page().getByLabel("gained").waitFor();
        take(teodor, "question");
      }
      try (Person teodor = new Person(chromium.browser(), lantern, 390, 844, ColorScheme.LIGHT)) {
        teodor.signIn("teodor").search("dimming moth*");
        take(teodor, "search-narrow");
      }
    }
  }

  private void signIn(Person person, Lantern lantern) {
    person.page().navigate(lantern.address());
    person.page().getByLabel("E-mail").waitFor();
    person.signIn("ilse");
  }

  private void views(Person ilse) {
    sheet(ilse);
    ilse.page().getByText("Why it is here").waitFor();
    take(ilse, "search");
    strip(ilse);
    ilse.go("Arrivals").page().getByText("What the group says").waitFor();
    take(ilse, "arrivals");
    ilse.page().getByLabel("Lists of arrivals").getByText("Board").click();
    ilse.region("Board").waitFor();
    take(ilse, "board");
    ilse.go("Folders").link("Verge lighting").click();
    ilse.page().getByLabel("Publications kept").waitFor();
    take(ilse, "folder");
    ilse.page().getByLabel("Publications kept").getByRole(AriaRole.LINK).first().click();
    ilse.page().getByLabel("Citation", new Page.GetByLabelOptions().setExact(true)).waitFor();
    ilse.page().waitForURL(Pattern.compile(".*/p/.*"));
    String id = ilse.path().replaceAll(".*/p/", "");
    take(ilse, "publication");
    ilse.go("Today");
    ilse.page().getByLabel("Done by the others").waitFor();
    take(ilse, "today");
    ilse.link("Tern Hollow night ecology").click();
    ilse.page().getByLabel("E-mail address").fill("nora@elsewhere.example");
    ilse.exactly("Ask in").click();
    ilse.text("the letter is sent").waitFor();
    take(ilse, "group");
    ilse.go("Alerts");
    ilse.link("Gentler lighting").click();
    ilse.button("Make my address").click();
    ilse.page().getByLabel(Pattern.compile("^Address of ")).waitFor();
    ilse.exactly("Close").click();
    ilse.page().getByRole(AriaRole.HEADING).first().scrollIntoViewIfNeeded();
    take(ilse, "alert");
    ilse.page().navigate(ilse.page().url().replaceAll("/g/.*", "/p/" + id));
    ilse.page().waitForURL(Pattern.compile(".*/p/.*"));
    take(ilse, "stable-link");
  }

  /**
   * A folder in a style, at an entry of whose annotation a colleague would write some otherwise.
   */
  private void bibliography(Person ilse) {
    ilse.go("Folders").link("Verge lighting").click();
    ilse.link("Bibliography").click();
    ilse.page().getByLabel("Entries").getByText("remarks open").first().click();
    ilse.page().getByLabel("Said of it").waitFor();
    take(ilse, "bibliography-night");
  }

  /** Three ideas and two limits. */
  private static void sheet(Person ilse) {
    ilse.search("moth* or \"nocturnal insects\" or hawkmoths");
    ilse.line(2).fill("dimming or \"part-night lighting\" or curfew or shielding");
    ilse.line(2).press("Enter");
    ilse.line(3).fill("not title: caterpillars");
    ilse.line(3).press("Enter");
    ilse.page().waitForTimeout(500);
    ilse.button("Limit").first().click();
    ilse.page().getByLabel("from", new Page.GetByLabelOptions().setExact(true)).fill("2016");
    ilse.exactly("Set").first().click();
    divideBy(ilse, "Access");
    for (String access : List.of("open to all", "yours to read")) {
      ilse.page()
          .getByLabel("Breakdown")
          .getByText(access, new Locator.GetByTextOptions().setExact(true))
          .click();
    }
    ilse.button("Fold away").click();
    ilse.line(1).focus();
    ilse.page().keyboard().press("Enter");
    ilse.page().waitForTimeout(500);
  }

  private void strip(Person ilse) {
    ilse.page().navigate(ilse.page().url().replaceAll("/q/.*", "/catalogue/holdings"));
    ilse.page().getByLabel("Titles held").waitFor();
    take(ilse, "holdings");
    ilse.page().navigate(ilse.page().url().replaceAll("/holdings.*", "/house"));
    ilse.button("Check everything now").click();
    ilse.page().getByText("what alerts remember: as it should be").waitFor();
    take(ilse, "house");
    trail(ilse);
  }

  private void trail(Person ilse) {
    String group = ilse.page().url().replaceAll("/catalogue/.*", "");
    ilse.page().navigate(group + "/catalogue/headings?words=moths&h=Lepidoptera");
    ilse.page().getByText("Also called").waitFor();
    take(ilse, "headings");
    ilse.page().navigate(group + "/catalogue/journals?words=lamp");
    ilse.page().getByLabel("Journals found").getByRole(AriaRole.LINK).first().click();
    ilse.page().getByText("Volume").first().waitFor();
    take(ilse, "journals");
    ilse.go("Folders").link("Cheap loggers, revision 2").click();
    ilse.page().getByText("Revision 1").waitFor();
    take(ilse, "saved-search");
    ilse.page().navigate(group + "/search");
    ilse.line(1).waitFor();
    ilse.newSheet().search("moth* dimming");
    ilse.newSheet().search("(moth* or bats) dimming");
    ilse.page().navigate(group + "/trail");
    ilse.page().getByText("Report", new Page.GetByTextOptions().setExact(true)).first().click();
    ilse.page().getByText("Not searched", new Page.GetByTextOptions().setExact(true)).waitFor();
    take(ilse, "report");
    reading(ilse);
  }

  /** A page of a file with words found in it, and a note at a passage. */
  private void reading(Person ilse) {
    Locator text = ilse.openPage("moth* lamps");
    Locator passage = text.getByRole(AriaRole.PARAGRAPH).nth(3);
    passage.click(new Locator.ClickOptions().setClickCount(3));
    ilse.exactly("Note").click();
    ilse.page().keyboard().type("Same make as our verge: ask for the type.");
    ilse.page().getByLabel("the group sees it").check();
    ilse.button("Note it").click();
    ilse.exactly("Close").click();
    ilse.page().getByLabel("Find in the text").fill("dim*");
    ilse.page().getByLabel("Places in the text").waitFor();
    ilse.page().waitForTimeout(1000);
    take(ilse, "reading");
  }

  private static void divideBy(Person ilse, String property) {
    ilse.page().getByLabel("Divide by").selectOption(new SelectOption().setLabel(property));
  }

  private void take(Person person, String name) {
    person.page().waitForTimeout(400);
    person.page().screenshot(new Page.ScreenshotOptions().setPath(folder.resolve(name + ".png")));
  }
}
