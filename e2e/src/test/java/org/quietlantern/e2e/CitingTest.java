package org.quietlantern.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Keyboard;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** A group cites what it found: copied with its looks, mended, in the style that is asked for. */
class CitingTest {
  private static final Keyboard.TypeOptions FAST = new Keyboard.TypeOptions().setDelay(12);
  private static final String FOLDER = "Bats at lit crossings";
  @RegisterExtension private static final Browsing BROWSING = new Browsing();

  private static Locator entries(Person person) {
    return person.page().getByLabel("Entries", new Page.GetByLabelOptions().setExact(true));
  }

  private static void openBibliography(Person person) {
    person.go("Folders").link(FOLDER).first().click();
    person.page().getByRole(AriaRole.LINK, named("Bibliography")).click();
    entries(person).locator("[aria-posinset='1']").waitFor();
  }

  private static Page.GetByRoleOptions named(String name) {
    return new Page.GetByRoleOptions().setName(name).setExact(true);
  }

  @SuppressWarnings("unchecked")
  private static Map<String, String> clipboard(Person person) {
    return (Map<String, String>)
        person
            .page()
            .evaluate(
                """
                async () => {
                  const [item] = await navigator.clipboard.read();
                  const read = async (type) => (await item.getType(type)).text();
                  return { html: await read('text/html'), text: await read('text/plain') };
                }
                """);
  }

  @DisplayName(
      "All entries are copied by one key: they hang and keep italics, and are plain text, too")
  @Test
  void copied() {
    try (Person ilse = BROWSING.person("ilse")) {
      ilse.page().context().grantPermissions(List.of("clipboard-read", "clipboard-write"));
      openBibliography(ilse);
      String said = ilse.page().getByText(Pattern.compile("^\\d+ entr(y|ies), ")).innerText();
      int count = Integer.parseInt(said.replaceAll("(?s)(\\d+).*", "$1"));
      ilse.page().keyboard().press("c");
      assertThat(ilse.page().getByText("Copied all entries.")).isVisible();
      Map<String, String> copied = clipboard(ilse);
      assertThat(copied.get("html").split("text-indent: ?-36")).hasSize(count + 1);
      assertThat(copied.get("html")).contains("<i>");
      assertThat(copied.get("text").lines()).hasSize(count);
      // The leaf of one of them, by the same key.
      entries(ilse).getByRole(AriaRole.LISTITEM).first().click();
      pane(ilse).getByText("Open", exactly()).click();
      ilse.page().getByRole(AriaRole.REGION, named("Citation")).waitFor();
      ilse.page().keyboard().press("c");
      assertThat(ilse.page().getByText("Copied the citation.")).isVisible();
      assertThat(copied.get("text")).contains(clipboard(ilse).get("text"));
    }
  }

  private static Locator.GetByTextOptions exactly() {
    return new Locator.GetByTextOptions().setExact(true);
  }

  @DisplayName("What is certain is mended at once for the whole group, and taken back as one act")
  @Test
  void mended() {
    try (Person ilse = BROWSING.person("ilse");
        Person teodor = BROWSING.person("teodor")) {
      openBibliography(ilse);
      write(ilse, 1, "title", "Bats &amp; lamps");
      write(ilse, 2, "title", "Lamps &amp; <em>bats</em>");
      Locator certain = ilse.page().getByText("Mend the 2 that are certain");
      assertThat(certain).isVisible();
      assertThat(ilse.page().getByText("2 entries to be looked at")).isVisible();
      // In a hurry: it is one act.
      Person.twice(certain);
      assertThat(ilse.page().getByText("2 faults mended.")).isVisible();
      assertThat(certain).hasCount(0);
      openBibliography(teodor);
      assertThat(entries(teodor)).containsText("Bats & lamps");
      assertThat(teodor.page().getByText("to be looked at")).hasCount(0);
      ilse.page().keyboard().press("0");
      assertThat(certain).isVisible();
      assertThat(entries(teodor)).containsText("Bats &amp; lamps");
      for (int row = 1; row <= 2; row++) {
        entry(ilse, row).click();
        pane(ilse).getByText("As supplied").click();
        assertThat(pane(ilse).getByText("As supplied")).hasCount(0);
      }
    }
  }

  private static Locator entry(Person person, int row) {
    return entries(person).locator("[aria-posinset='" + row + "']");
  }

  private static Locator pane(Person person) {
    return person.page().getByLabel("Entry", new Page.GetByLabelOptions().setExact(true));
  }

  private static void write(Person person, int row, String field, String text) {
    entry(person, row).click();
    pane(person).getByLabel("Write the " + field).last().click();
    person.page().keyboard().press("Control+A");
    person.page().keyboard().type(text, FAST);
    person.page().keyboard().press("Enter");
    assertThat(pane(person).getByText("As supplied")).isVisible();
  }

  @DisplayName("An entry is looked at, written anew and ticked by keys, while the other looks on")
  @Test
  void byKeys() {
    try (Person ilse = BROWSING.person("ilse");
        Person sefa = BROWSING.person("sefa")) {
      openBibliography(sefa);
      openBibliography(ilse);
      ilse.page().keyboard().press("j");
      Locator second = entry(ilse, 2);
      assertThat(pane(ilse)).containsText(second.locator(".font-serif").first().innerText());
      pane(ilse).getByLabel("Write the date").click();
      ilse.page().keyboard().press("Control+A");
      ilse.page().keyboard().type("1871", FAST);
      ilse.page().keyboard().press("Enter");
      assertThat(entries(ilse)).containsText("(1871)");
      assertThat(pane(ilse).getByText(Pattern.compile("mended by Ilse Brandvold"))).isVisible();
      ilse.page().keyboard().press("x");
      Locator compared = entries(ilse).getByText("by Ilse Brandvold");
      assertThat(compared).isVisible();
      assertThat(entries(sefa)).containsText("(1871)");
      assertThat(entries(sefa)).containsText("by Ilse Brandvold");
      // A change of what is read clears the tick.
      pane(ilse).getByText("As supplied").click();
      assertThat(entries(ilse)).not().containsText("(1871)");
      assertThat(compared).hasCount(0);
    }
  }

  @DisplayName("A style is found while answers come late, and is everybody's after a reload")
  @Test
  void styles() {
    try (Person ilse = BROWSING.person("ilse");
        Person maren = BROWSING.person("maren")) {
      ilse.page()
          .route(
              "**/styles?*",
              route -> {
                ilse.page().waitForTimeout(150);
                route.resume();
              });
      ilse.go("Folders").link("Moth declines").first().click();
      ilse.page().getByRole(AriaRole.LINK, named("Bibliography")).click();
      ilse.page().getByText("Style and order").click();
      ilse.page().getByLabel(Pattern.compile("^In the style of the group")).uncheck();
      Locator field = ilse.page().getByRole(AriaRole.COMBOBOX, named("Citation style"));
      field.click();
      ilse.page().keyboard().type("vancouver citing med", FAST);
      Locator list = ilse.page().getByRole(AriaRole.LISTBOX, named("Styles found"));
      Locator first = list.getByRole(AriaRole.OPTION).first();
      assertThat(first).containsText("NLM Style Guide (Vancouver)");
      assertThat(field).hasValue("vancouver citing med");
      ilse.page().keyboard().press("Enter");
      ilse.page().getByText("Set it for everybody").click();
      assertThat(ilse.page().getByText(Pattern.compile("NLM Style Guide"))).isVisible();
      assertThat(entries(ilse).locator("[aria-posinset='1']")).containsText("1.");
      ilse.page().reload();
      assertThat(entries(ilse).locator("[aria-posinset='1']")).containsText("1.");
      maren.go("Folders").link("Moth declines").first().click();
      maren.page().getByRole(AriaRole.LINK, named("Bibliography")).click();
      assertThat(maren.page().getByText(Pattern.compile("NLM Style Guide"))).isVisible();
    }
  }
}
