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

/** An annotated bibliography: written by one, suggested by a colleague, agreed by both. */
class AnnotatingTest {
  private static final Keyboard.TypeOptions FAST = new Keyboard.TypeOptions().setDelay(12);
  private static final String FOLDER = "Bats at lit crossings";
  private static final String SAID =
      "Counts *bats* at lit crossings. The dark ones were seen by nobody.";
  @RegisterExtension private static final Browsing BROWSING = new Browsing();

  private static void openBibliography(Person person) {
    person.go("Folders").link(FOLDER).first().click();
    person.page().getByRole(AriaRole.LINK, exactly("Bibliography")).click();
    entry(person, 1).waitFor();
  }

  private static Page.GetByRoleOptions exactly(String name) {
    return new Page.GetByRoleOptions().setName(name).setExact(true);
  }

  private static Locator entry(Person person, int row) {
    return person
        .page()
        .getByLabel("Entries", new Page.GetByLabelOptions().setExact(true))
        .locator("[aria-posinset='" + row + "']");
  }

  private static Locator annotation(Person person) {
    return person.page().getByRole(AriaRole.REGION, exactly("Annotation"));
  }

  private static Locator act(Person person, String name) {
    return annotation(person)
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(name));
  }

  private static void type(Person person, String text) {
    person.page().keyboard().type(text, FAST);
  }

  private static void slow(Person person) {
    person
        .page()
        .route(
            Pattern.compile(".*/annotations/.*"),
            route -> {
              person.page().waitForTimeout(300);
              route.resume();
            });
  }

  @DisplayName("Written fast, suggested, one change taken and one left, agreed, and in the file")
  @Test
  void agreed() {
    try (Person ilse = BROWSING.person("ilse");
        Person teodor = BROWSING.person("teodor")) {
      openBibliography(ilse);
      openBibliography(teodor);
      slow(ilse);
      entry(ilse, 1).click();
      ilse.page().keyboard().press("a");
      annotation(ilse).getByLabel("The annotation").waitFor();
      type(ilse, SAID);
      ilse.page().keyboard().press("Control+Enter");
      assertThat(annotation(ilse).locator("em")).hasText("bats");
      Person.twice(act(ilse, "To be read"));
      assertThat(annotation(ilse)).containsText("to be read");

      // The other sees it without doing anything.
      entry(teodor, 1).click();
      assertThat(entry(teodor, 1)).containsText("by nobody.");
      teodor.page().keyboard().press("a");
      Locator box =
          annotation(teodor).getByLabel("Change the words that you would write otherwise");
      assertThat(box).hasValue(SAID);
      box.fill(SAID.replace("Counts", "Listens to").replace("by nobody", "by one person"));
      annotation(teodor).getByLabel("Why").click();
      type(teodor, "see table 2");
      Person.twice(act(teodor, "Suggest these words"));
      assertThat(teodor.page().getByText("2 suggestions made.")).isVisible();
      assertThat(act(teodor, "Agree")).isDisabled();

      assertThat(annotation(ilse)).containsText("2 remarks open");
      Person.twice(act(ilse, "Take it").first());
      assertThat(annotation(ilse)).containsText("Listens to bats at lit crossings.");
      act(ilse, "Leave it").last().click();
      assertThat(annotation(ilse)).not().containsText("open");

      act(teodor, "Agree").click();
      assertThat(annotation(teodor)).containsText("agreed by Teodor");
      assertThat(entry(ilse, 1)).containsText("agreed");
      String file =
          (String)
              ilse.page()
                  .evaluate(
                      "async () => (await fetch('/api' + location.pathname"
                          + ".replace(/^.g.([^/]+).f./, '/groups/$1/folders/')"
                          + " + '/text?annotations=agreed')).text()");
      assertThat(file).contains("    Listens to bats at lit crossings.").contains("by nobody.");

      // A look back, and one step back.
      act(ilse, "Earlier words").click();
      assertThat(annotation(ilse).getByText("letters")).hasCount(1);
      act(ilse, "Write it anew").click();
      ilse.page().keyboard().press("Control+A");
      ilse.page().keyboard().press("Delete");
      act(ilse, "Write it so").click();
      assertThat(ilse.page().getByText("The annotation is taken away.")).isVisible();
      assertThat(entry(ilse, 1)).not().containsText("by nobody.");
    }
  }

  @DisplayName("What was typed outlives other entries, a reload, and a refusal")
  @Test
  void nothingIsLost() {
    try (Person maren = BROWSING.person("maren");
        Person again = BROWSING.person("maren")) {
      openBibliography(maren);
      slow(maren);
      entry(maren, 2).click();
      // Nobody waits until it is known what stands there.
      maren.page().keyboard().press("a");
      type(maren, "Half a thou");
      annotation(maren).getByLabel("The annotation").waitFor();
      maren.page().keyboard().press("Escape");
      maren.page().keyboard().press("k");
      maren.page().keyboard().press("j");
      Locator box = annotation(maren).getByLabel("The annotation");
      assertThat(box).hasValue("Half a thou");
      maren.page().reload();
      assertThat(box).hasValue("Half a thou");

      // Meanwhile she writes in another window.
      openBibliography(again);
      entry(again, 2).click();
      again.page().keyboard().press("a");
      annotation(again).getByLabel("The annotation").waitFor();
      type(again, "A whole one.");
      again.page().keyboard().press("Control+Enter");
      assertThat(entry(again, 2)).containsText("A whole one.");

      box.click();
      maren.page().keyboard().press("End");
      type(maren, "ght.");
      maren.page().keyboard().press("Control+Enter");
      assertThat(annotation(maren).getByRole(AriaRole.ALERT)).containsText("meanwhile");
      assertThat(box).hasValue("Half a thought.");
      assertThat(annotation(maren)).containsText("A whole one.");
      // Now she has seen it.
      act(maren, "Write it so").click();
      assertThat(annotation(again)).containsText("Half a thought.");
      assertThat(box).hasCount(0);
    }
  }

  @DisplayName("Headings by keys; what is quoted through an entry is a task; what changed is told")
  @Test
  void chapters() {
    try (Person ilse = BROWSING.person("ilse")) {
      openBibliography(ilse);
      ilse.button("Headings").click();
      type(ilse, "By night");
      ilse.page().keyboard().press("Enter");
      assertThat(ilse.page().getByText("The bibliography has 1 heading.")).isVisible();
      entry(ilse, 2).click();
      String second = entry(ilse, 2).locator(".font-serif").first().innerText();
      ilse.page().getByRole(AriaRole.COMBOBOX, exactly("Heading")).selectOption("By night");
      Locator heading = ilse.page().getByRole(AriaRole.HEADING, exactly("By night"));
      assertThat(heading).isVisible();
      assertThat(ilse.page().locator("[aria-posinset]", new Page.LocatorOptions().setHas(heading)))
          .containsText(second);
      ilse.button("It quotes another work…").click();
      type(ilse, "Pell (1987). Lamps on county roads.");
      ilse.page().keyboard().press("Enter");
      assertThat(ilse.page().getByText("not read").first()).isVisible();
      ilse.link("What changed").click();
      assertThat(ilse.page().getByRole(AriaRole.REGION, exactly("What changed")))
          .containsText("came in");
      ilse.go("Today");
      ilse.link("All that is to be looked up").click();
      assertThat(ilse.text("Pell (1987)").first()).isVisible();
    }
  }
}
