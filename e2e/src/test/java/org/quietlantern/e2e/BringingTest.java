package org.quietlantern.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Keyboard;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.util.regex.Pattern;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** A group's old records come in from files and from what is pasted. */
class BringingTest {
  @RegisterExtension private static final Browsing BROWSING = new Browsing();

  /** Milliseconds between the letters of a fast typist. */
  private static final double FAST = 35;

  private static FilePayload file(String name, String content) {
    return new FilePayload(name, "text/plain", content.getBytes(StandardCharsets.UTF_8));
  }

  private static String ris(String title, String author, String doi) {
    return "TY  - JOUR\nTI  - %s\nAU  - %s\nPY  - 2019\nT2  - Old Journal\nDO  - %s\nER  - \n\n"
        .formatted(title, author, doi);
  }

  private static void bring(Person person, FilePayload... files) {
    person.page().getByLabel("Files", exactly()).setInputFiles(files);
    person.page().waitForURL(Pattern.compile(".*/b/[0-9a-z]+.*"));
  }

  private static Page.GetByLabelOptions exactly() {
    return new Page.GetByLabelOptions().setExact(true);
  }

  private static Locator entry(Person person, String title) {
    return person.page().getByRole(AriaRole.ARTICLE, new Page.GetByRoleOptions().setName(title));
  }

  /** How all of it stands. */
  private static Locator stands(Person person, String words) {
    return person.page().getByRole(AriaRole.STATUS).filter(having(words));
  }

  private static Locator.FilterOptions having(String words) {
    return new Locator.FilterOptions().setHasText(words);
  }

  @DisplayName(
      "A damaged file and a large one come in; two doubtful ones are decided; all is taken back")
  @Test
  void story() {
    try (Person ilse = BROWSING.person("ilse")) {
      ilse.go("Folders").link("Verge lighting").first().click();
      String dois = twoDois(ilse);
      String one = dois.split(" ")[0];
      String two = dois.split(" ")[1];
      ilse.link("Bring in").click();
      StringBuilder bibtex = new StringBuilder();
      for (int n = 0; n < 1_500; n++) {
        bibtex.append(
            "@article{k%d, title={Glow-worms of parish %d}, author={Parish, P%d}, year={2018}}\n"
                .formatted(n, n * 7919, n));
      }
      bring(
          ilse,
          file(
              "damaged.ris",
              ris("Nightjars over heath fires", "Jar, N", "10.5555/old.1")
                  + "TY  - JOUR\nTI  - Cut in the midd"
                  + "\nTY  - JOUR\nAU  - Nobody\nER  - \n\n"
                  + ris("Weirs and what they hold", "Weir, W", one)
                  + ris("Locks and what they hold", "Lock, L", two)),
          file("large.bib", bibtex.toString()));
      assertThat(ilse.text(Pattern.compile("^2 doubtful$"))).isVisible();
      assertThat(ilse.text(Pattern.compile("places? could not be read"))).isVisible();
      ilse.text(Pattern.compile("could not be read")).click();
      assertThat(ilse.page().getByText("damaged.ris, line").first()).isVisible();
      ilse.text(Pattern.compile("^2 doubtful$")).click();
      entry(ilse, "Weirs and what they hold").getByText("It is this one").click();
      assertThat(entry(ilse, "Weirs and what they hold")).containsText("is what is here");
      entry(ilse, "Locks and what they hold").getByText("It is another work").click();
      assertThat(entry(ilse, "Locks and what they hold")).containsText("is another work");
      ilse.text(Pattern.compile("^Take [\\d,]+ entries in$")).click();
      assertThat(stands(ilse, "taken, in")).isVisible();
      assertThat(ilse.text(Pattern.compile("^1,50\\d added$"))).isVisible();
      ilse.link("Locks and what they hold").click();
      assertThat(ilse.page()).hasTitle(Pattern.compile("Locks and what they hold"));
      ilse.page().goBack();

      // Reloaded, it stands as it stood; then all of it goes.
      ilse.page().reload();
      ilse.exactly("Take all of it back").click();
      assertThat(stands(ilse, "taken back, in")).isVisible();
      assertThat(ilse.text(Pattern.compile("^1,50\\d taken back$"))).isVisible();
    }
  }

  /** Of two works in the folder that is open. */
  private static String twoDois(Person person) {
    Object dois =
        person
            .page()
            .evaluate(
                """
                async () => {
                  const group = location.pathname.split('/')[2];
                  const folder = location.pathname.split('/')[4];
                  const get = (path) => fetch(`/api/groups/${group}${path}`).then((a) => a.json());
                  const { ids } = await get(`/folders/${folder}`);
                  const found = [];
                  for (const id of ids) {
                    const { doi } = await get(`/publications/${id}`);
                    if (doi) found.push(doi);
                    if (found.length === 2) break;
                  }
                  return found.join(' ');
                }
                """);
    return String.valueOf(dois);
  }

  @DisplayName("Pasted at full speed while answers come late: a list is looked up, kept, noted")
  @Test
  void list() {
    try (Person maren = BROWSING.person("maren")) {
      maren.go("Folders").link("Verge lighting").first().click();
      String[] dois = twoDois(maren).split(" ");
      maren.go("Folders").link("A list of references").click();
      maren
          .page()
          .route(
              "**/reference-list",
              route -> {
                maren.page().waitForTimeout(700);
                route.resume();
              });
      assertThat(maren.page().getByLabel(Pattern.compile("^Paste the references"))).isFocused();
      Keyboard keyboard = maren.page().keyboard();
      Keyboard.TypeOptions fast = new Keyboard.TypeOptions().setDelay(FAST);
      keyboard.type("1. Somebody. Something. " + dois[0] + "\n", fast);
      keyboard.type("2. Nobody, N. (1987). What nobody here has. Elsewhere, 1.\n", fast);
      maren.button("Look them up").click();
      // More is typed while the first answer is on its way: it stays, and is looked up when asked.
      maren.page().getByLabel(Pattern.compile("^Paste the references")).click();
      keyboard.press("Control+End");
      keyboard.type("3. " + dois[1] + "\n", fast);
      assertThat(maren.text("2 references: 1 here, 0 perhaps here, 1 not here.")).isVisible();
      assertThat(maren.page().getByLabel(Pattern.compile("^Paste the references")))
          .hasValue(Pattern.compile(dois[1].replace(".", "\\.")));
      maren.button("Look them up").click();
      assertThat(maren.text("3 references: 2 here, 0 perhaps here, 1 not here.")).isVisible();
      maren.exactly("To be looked up").click();
      assertThat(maren.text("1 of them to be looked up")).isVisible();
      maren.text(Pattern.compile("^Keep the 2 that are here$")).click();
      maren.page().keyboard().press("Escape");
      maren.link(firstLink(maren)).click();
      maren.page().goBack();
      assertThat(maren.text("3 references: 2 here, 0 perhaps here, 1 not here")).isVisible();
    }
  }

  private static String firstLink(Person person) {
    return person.region("What was found").getByRole(AriaRole.LINK).first().innerText();
  }

  @DisplayName("What cannot be brought in says so, and nothing is left of it")
  @Test
  void refused() {
    try (Person teodor = BROWSING.person("teodor")) {
      teodor.go("Folders").link("Bring in").click();
      bring(teodor, file("nothing.bin", "\u0000\u0001\u0002 no text"));
      assertThat(teodor.text("in no format that is known")).isVisible();
      assertThat(teodor.text("1 place could not be read")).isVisible();
      assertThat(teodor.text(Pattern.compile("^Take "))).hasCount(0);
      teodor.exactly("Leave it, take nothing").click();
      assertThat(teodor.text("Choose files")).isVisible();
      teodor.page().getByLabel("Or paste what a file would hold").fill("@article{a, title={Open");
      teodor.button("Look at it").click();
      assertThat(teodor.text(Pattern.compile("could not be read"))).isVisible();
      assertThat(teodor.page()).hasTitle(Pattern.compile("Bring in"));
    }
  }

  @DisplayName("What comes in and what was found can be used by everybody, by day and by night")
  @Test
  void accessible() {
    try (Person noor = BROWSING.person("noor")) {
      noor.go("Folders").link("Verge lighting").first().click();
      String doi = twoDois(noor).split(" ")[0];
      noor.go("Folders").link("Bring in").click();
      bring(
          noor,
          file("both.ris", ris("Mills at dusk", "Mill, M", doi) + "TY  - JOUR\nER  - \n"),
          file("table.csv", "Werk;Wer\nPonds at dusk;\"Pond, P\"\n"));
      assertThat(noor.text("What stands in each column?")).isVisible();
      noor.text(Pattern.compile("could not be read")).click();
      noor.text(Pattern.compile("^1 doubtful$")).click();
      assertThat(entry(noor, "Mills at dusk")).isVisible();
      Views.sound(noor);
      noor.go("Folders").link("A list of references").click();
      noor.page()
          .getByLabel(Pattern.compile("^Paste the references"))
          .fill(doi + "\nNobody (1987). What nobody has. Elsewhere.");
      noor.button("Look them up").click();
      assertThat(noor.text("2 references: 1 here")).isVisible();
      Views.sound(noor);
    }
  }
}
