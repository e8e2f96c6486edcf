package org.quietlantern.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Keyboard;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.nio.file.Files;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** What a group found leaves as files of references. */
class ExportingTest {
  /** What each format has once a work, by its name in the dialog. */
  private static final Map<String, String> ENTRIES =
      Map.of(
          "RIS", "(?m)^TY  - ",
          "BibTeX", "(?m)^@\\w+\\{",
          "BibLaTeX", "(?m)^@\\w+\\{",
          "CSL-JSON", "(?m)^\\{\"id\":",
          "MODS", "<mods ",
          "CSV", "(?m)http\\S+?/p/",
          "Plain text", "http\\S+/p/");

  @RegisterExtension private static final Browsing BROWSING = new Browsing();

  private static Locator dialog(Person person) {
    return person.page().getByRole(AriaRole.DIALOG);
  }

  private static Locator format(Person person, String name) {
    return dialog(person).getByLabel(name, new Locator.GetByLabelOptions().setExact(true));
  }

  private static int publications(Person person) {
    Locator said = dialog(person).getByText(Pattern.compile("^[\\d,]+ publications?, "));
    return Integer.parseInt(said.innerText().replaceAll("(?s)^([\\d,]+).*", "$1").replace(",", ""));
  }

  private static String saved(Person person) {
    Download file =
        person.page().waitForDownload(() -> dialog(person).getByText("Save the file").click());
    try {
      return Files.readString(file.path());
    } catch (IOException failed) {
      throw new IllegalStateException(failed);
    }
  }

  private static int many(String text, String pattern) {
    return (int) Pattern.compile(pattern).matcher(text).results().count();
  }

  @DisplayName("A folder in each format has as many works as the dialog says")
  @Test
  void eachFormat() {
    try (Person ilse = BROWSING.person("ilse")) {
      ilse.go("Folders").link("Verge lighting").first().click();
      ilse.exactly("Export").click();
      int works = publications(ilse);
      List<String> wrong = new ArrayList<>();
      ENTRIES.forEach(
          (name, entry) -> {
            format(ilse, name).check();
            String file = saved(ilse);
            if (many(file, entry) != works) {
              wrong.add(name + " " + many(file, entry));
            }
            assertThat(file).as(name).isNotEmpty();
            assertThat(dialog(ilse).getByText(works + " publications are in the file."))
                .isVisible();
          });
      assertThat(wrong).as("of " + works).isEmpty();
    }
  }

  @DisplayName(
      "In a hurry: formats one after the other, save at once; the last choice counts and is remembered")
  @Test
  void inAHurry() {
    try (Person teodor = BROWSING.person("teodor")) {
      teodor
          .page()
          .route(
              Pattern.compile(".*/export/preview$"),
              route -> {
                // Answers come late, and the first one last.
                boolean first = route.request().postData().contains("\"ris\"");
                teodor.page().waitForTimeout(first ? 900 : 300);
                route.resume();
              });
      teodor.search("moth* or dimming");
      teodor.exactly("Export").click();
      dialog(teodor).getByText(Pattern.compile("^[\\d,]+ publications, ")).waitFor();
      format(teodor, "MODS").check();
      format(teodor, "CSV").check();
      format(teodor, "BibTeX").check();
      String file = saved(teodor);
      assertThat(file).startsWith("@");
      assertThat(many(file, "(?m)^@\\w+\\{")).isEqualTo(publications(teodor)).isGreaterThan(100);
      assertThat(file).endsWith("\n% Entries: " + publications(teodor) + "\n");
      assertThat(dialog(teodor).getByLabel("How it begins").locator("pre")).containsText("@");
      teodor.page().keyboard().press("Escape");
      assertThat(dialog(teodor)).hasCount(0);
      teodor.page().reload();
      teodor.exactly("Export").click();
      assertThat(format(teodor, "BibTeX")).isChecked();
    }
  }

  @DisplayName("What is ticked leaves in its order; what was said only where it is wanted")
  @Test
  void ticked() {
    try (Person ilse = BROWSING.person("ilse")) {
      ilse.search("moth* or dimming");
      ilse.page().keyboard().type("xjx");
      ilse.text("2 publications ticked").waitFor();
      ilse.region("Leaf").waitFor();
      ilse.page()
          .locator("p", new Page.LocatorOptions().setHas(ilse.text("2 publications ticked")))
          .getByText("Export")
          .click();
      assertThat(publications(ilse)).isEqualTo(2);
      format(ilse, "Plain text").check();
      String file = saved(ilse);
      assertThat(file).endsWith("\n2 works\n").doesNotContain("Marked ");
    }
  }

  @DisplayName(
      "In a hurry: two are ticked, typed to, sent with a double click; one letter each comes")
  @Test
  void mailed() {
    try (Person ilse = BROWSING.person("ilse")) {
      ilse.search("moth* or dimming");
      ilse.page().keyboard().type("xjx");
      ilse.page()
          .locator("p", new Page.LocatorOptions().setHas(ilse.text("2 publications ticked")))
          .getByText("Mail…")
          .click();
      ilse.text("Mail 2 publications").waitFor();
      ilse.page()
          .keyboard()
          .type("vera@elsewhere.example,", new Keyboard.TypeOptions().setDelay(12));
      dialog(ilse).getByLabel("What you say to it").fill("For Thursday");
      Person.twice(dialog(ilse).getByText("Send", new Locator.GetByTextOptions().setExact(true)));
      ilse.text("1 letter on the way.").waitFor();
      assertThat(dialog(ilse)).hasCount(0);
      ilse.page().navigate(ilse.page().url().replaceAll("/(q|search)\\b.*", "/sent"));
      ilse.text("vera@elsewhere.example: handed over").waitFor();
      assertThat(ilse.page().getByText("vera@elsewhere.example")).hasCount(1);
      assertThat(BROWSING.lantern().letters())
          .contains("For Thursday", "2 publications", "/p/")
          .doesNotContain("Enclosed");
    }
  }

  @DisplayName("A server that goes away in the middle leaves no half file behind")
  @Test
  void brokenOff() {
    try (Person ilse = BROWSING.person("ilse")) {
      ilse.page()
          .route(
              Pattern.compile(".*/folders/[^/]+/export$"),
              route ->
                  route.fulfill(
                      new Route.FulfillOptions()
                          .setContentType("application/x-ndjson")
                          .setBody("{\"done\":1,\"text\":\"TY  - JOUR\\r\\n\"}\n")));
      ilse.go("Folders").link("Verge lighting").first().click();
      ilse.exactly("Export").click();
      publications(ilse);
      dialog(ilse).getByText("Save the file").click();
      assertThat(dialog(ilse).getByRole(AriaRole.ALERT)).isVisible();
      assertThat(dialog(ilse).getByText("are in the file")).hasCount(0);
    }
  }
}
