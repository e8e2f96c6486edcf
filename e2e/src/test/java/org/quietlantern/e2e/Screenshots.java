package org.quietlantern.e2e;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import java.nio.file.Path;
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
    try (Lantern lantern = new Lantern("");
        Chromium chromium = new Chromium()) {
      try (Person ilse = new Person(chromium.browser(), lantern)) {
        signIn(ilse, lantern);
        views(ilse, "");
      }
      try (Person ilse = new Person(chromium.browser(), lantern, 1280, 800, ColorScheme.DARK)) {
        ilse.signIn("ilse");
        views(ilse, "-night");
      }
      try (Person teodor = new Person(chromium.browser(), lantern, 390, 844, ColorScheme.LIGHT)) {
        teodor.signIn("teodor").search("dimming moth*");
        take(teodor, "search-narrow");
        teodor.go("Arrivals").page().getByLabel("Arrivals").waitFor();
        take(teodor, "arrivals-narrow");
      }
    }
  }

  private void signIn(Person person, Lantern lantern) {
    person.page().navigate(lantern.address());
    person.page().getByLabel("E-mail").waitFor();
    take(person, "sign-in");
    person.signIn("ilse");
    take(person, "search-empty");
  }

  private void views(Person ilse, String suffix) {
    ilse.search("dimming or \"part-night lighting\" moth*");
    ilse.page().getByText("Why it is here").waitFor();
    take(ilse, "search" + suffix);
    ilse.go("Arrivals").page().getByText("What the group says").waitFor();
    take(ilse, "arrivals" + suffix);
    if (!suffix.isEmpty()) {
      return;
    }
    ilse.go("Folders").link("Verge lighting").click();
    ilse.page().getByLabel("Publications kept").waitFor();
    take(ilse, "folder");
    ilse.page()
        .getByLabel("Publications kept")
        .getByRole(com.microsoft.playwright.options.AriaRole.LINK)
        .first()
        .click();
    ilse.page().getByText("Citation").waitFor();
    String id = ilse.path().replaceAll(".*/p/", "");
    take(ilse, "publication");
    ilse.go("Alerts");
    ilse.link("Gentler lighting").click();
    ilse.button("Make my address").click();
    ilse.page().getByLabel("Address of my feed").waitFor();
    take(ilse, "alert");
    ilse.page().navigate(ilse.page().url().replaceAll("/g/.*", "/p/" + id));
    ilse.page().waitForURL(Pattern.compile(".*/p/.*"));
    take(ilse, "stable-link");
  }

  private void take(Person person, String name) {
    person.page().waitForTimeout(400);
    person.page().screenshot(new Page.ScreenshotOptions().setPath(folder.resolve(name + ".png")));
  }
}
