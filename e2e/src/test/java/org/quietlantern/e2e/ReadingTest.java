package org.quietlantern.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Keyboard;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** From a line to its text and back: read, looked through, written at, brought in. */
class ReadingTest {
  private static final Keyboard.TypeOptions FAST = new Keyboard.TypeOptions().setDelay(12);
  @RegisterExtension private static final Browsing BROWSING = new Browsing(Lantern::withTexts);

  private static Locator notes(Person person) {
    return person.page().getByLabel("Margin notes", new Page.GetByLabelOptions().setExact(true));
  }

  /** Opens a text that a line finds, each story by a line of its own. */
  private static void read(Person person, String line) {
    person.openPage(line);
  }

  /** Chooses the first heading of the text with the pointer. */
  private static String choose(Person person) {
    Locator heading =
        person
            .region("Text")
            .getByRole(AriaRole.HEADING, new Locator.GetByRoleOptions().setName("Methods"))
            .first();
    heading.scrollIntoViewIfNeeded();
    heading.click(new Locator.ClickOptions().setClickCount(3));
    return heading.innerText();
  }

  private static int lit(Person person, String what) {
    return (Integer) person.page().evaluate("what => CSS.highlights.get(what)?.size ?? 0", what);
  }

  @DisplayName("Read in one act, looked through at full speed, and back to the same place")
  @Test
  void read() {
    try (Person ilse = BROWSING.person("ilse")) {
      ilse.openPage("moth*");
      assertThat(ilse.path()).endsWith("/text");

      ilse.page().keyboard().press("f");
      ilse.page().keyboard().type("moth*", FAST);
      ilse.page().keyboard().press("Enter");
      ilse.page().keyboard().press("Enter");
      Locator status = ilse.page().locator("header [role=status]").last();
      assertThat(status).hasText(Pattern.compile("\\d+ places, no. 2"));
      int places = Integer.parseInt(status.innerText().replaceAll(" places.*", ""));
      assertThat(ilse.page().getByLabel("Places in the text").getByRole(AriaRole.LISTITEM))
          .hasCount(places);
      assertThat(lit(ilse, "found")).isEqualTo(places);
      assertThat(lit(ilse, "found-here")).isEqualTo(1);

      ilse.page().reload();
      assertThat(ilse.page().getByLabel("Find in the text")).hasValue("moth*");
      assertThat(ilse.text(places + " places")).isVisible();
      ilse.page().getByLabel("Find in the text").fill("");
      assertThat(ilse.page().getByLabel("Places in the text")).hasCount(0);
      assertThat(lit(ilse, "found")).isZero();
      ilse.page().keyboard().press("Escape");
      ilse.page().keyboard().press("u");
      assertThat(ilse.line(1)).hasValue("moth*");
      // What was opened is chosen there.
      assertThat(ilse.path()).contains("/q/", "?p=");
    }
  }

  @DisplayName(
      "From a title to its page, on to its neighbours in a hurry, and back to the same place")
  @Test
  void neighbours() {
    try (Person ilse = BROWSING.person("ilse")) {
      ilse.search("moth*");
      Locator list = ilse.page().getByLabel("Publications found");
      Locator row = list.getByRole(AriaRole.LISTITEM).nth(4);
      String title = row.getByRole(AriaRole.LINK).first().innerText();
      row.getByRole(AriaRole.LINK).first().click();
      Locator place = ilse.page().getByLabel("In its list");
      assertThat(place).containsText("5 of ");
      ilse.page().keyboard().type("jjk", FAST);
      assertThat(place).containsText("6 of ");
      assertThat(ilse.page().getByRole(AriaRole.HEADING).nth(1)).not().hasText(title);
      ilse.page().reload();
      assertThat(place).containsText("6 of ");
      ilse.page().keyboard().press("u");
      assertThat(ilse.line(1)).hasValue("moth*");
      assertThat(ilse.page().getByLabel("Leaf").getByRole(AriaRole.HEADING).first()).hasText(title);
      assertThat(row).isInViewport();
    }
  }

  @DisplayName(
      "After the text it is said that it was read; the group sees it; it goes along with notes")
  @Test
  void afterIt() throws Exception {
    try (Person ilse = BROWSING.person("ilse");
        Person teodor = BROWSING.person("teodor")) {
      read(ilse, "light*");
      Locator after = ilse.page().getByLabel("After the text");
      Person.twice(
          after.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Read: text")));
      assertThat(after).containsText("You read: text");
      teodor.page().navigate(BROWSING.lantern().address() + ilse.path());
      assertThat(teodor.page().getByLabel("After the text"))
          .containsText("Ilse Brandvold read: text");
      after.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("take back")).click();
      assertThat(teodor.page().getByLabel("After the text")).not().containsText("Ilse");

      ilse.exactly("as file").click();
      ilse.page().locator(".text-layer span").first().waitFor();
      ilse.exactly("Download").click();
      Download noted =
          ilse.page().waitForDownload(() -> ilse.page().getByText("with the notes in it").click());
      assertThat(noted.suggestedFilename()).endsWith("with-notes.pdf");
      assertThat(Files.size(noted.path())).isPositive();
      String trail = ilse.path().replaceAll("/p/.*", "/trail?part=opened");
      ilse.page().navigate(BROWSING.lantern().address() + trail);
      assertThat(ilse.page().getByLabel("Publications opened").getByRole(AriaRole.LISTITEM).first())
          .containsText("downloaded");
    }
  }

  @DisplayName("A note: mine, then the group's, answered, found on the list and in the other file")
  @Test
  void written() {
    try (Person ilse = BROWSING.person("ilse");
        Person teodor = BROWSING.person("teodor")) {
      read(ilse, "lamp*");
      String text = ilse.path();
      String passage = choose(ilse);
      ilse.page().keyboard().press("n");
      ilse.page().keyboard().type("Same make as our verge", FAST);
      // What is half written outlives the page.
      ilse.page().reload();
      assertThat(ilse.page().getByLabel("What you note")).hasValue("Same make as our verge");
      ilse.page().getByLabel("What you note").focus();
      ilse.page().keyboard().press("Control+Enter");
      assertThat(notes(ilse)).containsText("only you see it");
      assertThat(notes(ilse).getByRole(AriaRole.LISTITEM)).hasCount(1);
      assertThat(lit(ilse, "noted")).isEqualTo(1);

      teodor.page().navigate(BROWSING.lantern().address() + text);
      assertThat(teodor.region("Text")).containsText("Introduction");
      assertThat(notes(teodor).getByRole(AriaRole.LISTITEM)).hasCount(0);
      ilse.exactly("Share").click();
      assertThat(notes(ilse)).containsText("the group sees it");
      assertThat(notes(teodor)).containsText("Same make as our verge");
      teodor.exactly("Remark").click();
      teodor.page().keyboard().type("cite this one for it", FAST);
      teodor.page().keyboard().press("Enter");
      assertThat(notes(ilse)).containsText("Teodor Vance: cite this one for it");

      ilse.go("Folders").link("Margin notes").click();
      ilse.page().getByLabel("Words in notes").pressSequentially("cite this");
      Locator entry = ilse.page().getByRole(AriaRole.MAIN).getByRole(AriaRole.LISTITEM);
      assertThat(entry).hasCount(1);
      entry.getByRole(AriaRole.LINK).first().click();
      assertThat(ilse.region("Text")).containsText(passage);
      assertThat(ilse.path()).contains("?note=");
      ilse.exactly("as file").click();
      ilse.page().locator(".text-layer span").first().waitFor();
      notes(ilse).getByTitle("To its place").click();
      ilse.page().waitForFunction("() => (CSS.highlights.get('noted')?.size ?? 0) > 0");
      assertThat(ilse.page().getByText("place not found in this text")).hasCount(0);
    }
  }

  @DisplayName("The passage is copied with its note; the citation with the page is the last line")
  @Test
  void copied() {
    try (Person maren = BROWSING.person("maren")) {
      maren.page().context().grantPermissions(List.of("clipboard-read", "clipboard-write"));
      read(maren, "bat*");
      maren.exactly("as file").click();
      Locator word =
          maren
              .page()
              .locator(".text-layer span", new Page.LocatorOptions().setHasText("Abstract"))
              .first();
      word.click(new Locator.ClickOptions().setClickCount(2).setForce(true));
      maren.exactly("Note").click();
      maren.page().keyboard().type("why", FAST);
      maren.page().keyboard().press("Control+Enter");
      notes(maren).getByText("Copy").click();
      assertThat(maren.text("Copied the passage with its citation.")).isVisible();
      String clipboard = (String) maren.page().evaluate("navigator.clipboard.readText()");
      String page = maren.page().getByLabel("p.").inputValue();
      assertThat(clipboard.lines().toList()).hasSize(3);
      assertThat(clipboard).startsWith("“Abstract”\nwhy\n").endsWith(" (p. " + page + ")");
      // The number that is printed on it, not its place in the file.
      assertThat(page)
          .isEqualTo(
              BROWSING
                  .lantern()
                  .query(
                      "select fields->'host'->>'firstPage' from publication where pid = '%s'"
                          .formatted(maren.path().replaceAll(".*/p/|/text.*", ""))));
    }
  }

  @DisplayName("Written while the server cannot be reached: kept, said so, sent when it can")
  @Test
  void withoutTheServer() {
    try (Person sefa = BROWSING.person("sefa")) {
      read(sefa, "moth*");
      choose(sefa);
      sefa.exactly("Note").click();
      sefa.page().keyboard().type("on the train", FAST);
      sefa.page().context().setOffline(true);
      sefa.page().keyboard().press("Control+Enter");
      assertThat(sefa.text("not sent yet")).isVisible();
      sefa.page().context().setOffline(false);
      sefa.page().reload();
      assertThat(notes(sefa)).containsText("on the train");
      assertThat(sefa.text("not sent yet")).hasCount(0);
      assertThat(
              notes(sefa)
                  .getByRole(AriaRole.LISTITEM)
                  .filter(new Locator.FilterOptions().setHasText("on the train")))
          .hasCount(1);
    }
  }

  @DisplayName(
      "T4: a file brought in, asked about, is read by the group from its line, not by guests")
  @Test
  void broughtIn() {
    try (Person maren = BROWSING.person("maren");
        Person jon = BROWSING.person("jon")) {
      maren.search("light");
      String page =
          maren
              .page()
              .getByRole(
                  AriaRole.LINK,
                  new Page.GetByRoleOptions().setName(Pattern.compile("^by request: ")))
              .first()
              .getAttribute("href")
              .replaceAll("#.*", "");
      maren.page().navigate(BROWSING.lantern().address() + page);
      maren.exactly("bring a file in").click();
      Locator dialog = maren.page().getByRole(AriaRole.DIALOG);
      String html =
          "<!doctype html><title>Another</title><p>Words that only this text has: quibblewick.";
      dialog
          .locator("input[type=file]")
          .setInputFiles(
              new FilePayload("saved.html", "text/html", html.getBytes(StandardCharsets.UTF_8)));
      dialog
          .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Bring it in"))
          .click();
      assertThat(dialog).containsText("The file calls itself “Another”");
      // As long as reading that takes: a second press at once is the same act, and confirms
      // nothing.
      maren.page().waitForTimeout(500);
      dialog
          .getByRole(
              AriaRole.BUTTON,
              new Locator.GetByRoleOptions().setName("It is the text of this work"))
          .click();
      assertThat(dialog).hasCount(0);
      maren.page().navigate(BROWSING.lantern().address() + page + "/text");
      assertThat(maren.region("Text")).containsText("quibblewick");
      maren.newSheet().search("text: quibblewick*");
      assertThat(maren.page().getByLabel("Publications found").getByRole(AriaRole.LISTITEM))
          .hasCount(1);
      maren.link("where in the text").click();
      assertThat(maren.region("Text")).containsText("quibblewick");
      assertThat(maren.text("1 place")).isVisible();
      assertThat(lit(maren, "found")).isEqualTo(1);
      maren.page().goBack();
      maren.link("by request: ").first().click();
      assertThat(maren.region("Text")).containsText("quibblewick");

      jon.page().navigate(BROWSING.lantern().address() + page + "/text");
      assertThat(jon.text("Your group has no text of it here.")).isVisible();
      assertThat(jon.text("quibblewick")).hasCount(0);
    }
  }

  @DisplayName("A book: opened from its line, a chapter found by its name, cited, and kept")
  @Test
  void chapter() {
    try (Person ilse = BROWSING.person("ilse")) {
      ilse.page().context().grantPermissions(List.of("clipboard-read", "clipboard-write"));
      String book =
          BROWSING
              .lantern()
              .query(
                  "select pid from publication p, jsonb_array_elements(p.fields->'copies') c"
                      + " where c->>'open' = 'true' and c->>'address' like '%/text.pdf'"
                      + " and fields->>'kind' = 'BOOK' and canonical is null"
                      + " and substring(c->>'address' from '/doc/([0-9]+)/')::int % 61"
                      + " not in (7, 13, 19, 29, 37, 43) order by id limit 1");
      String title =
          BROWSING
              .lantern()
              .query("select fields->>'title' from publication where pid = '" + book + "'");
      ilse.search("title: \"%s\"".formatted(title.replaceAll("[:?].*", "")));
      ilse.page().locator("a[href$='/p/" + book + "/text']").first().click();
      ilse.exactly("as file").click();
      ilse.page().locator(".text-layer span").first().waitFor();
      Locator parts = ilse.page().getByLabel("Parts and places");
      Locator second =
          parts
              .getByRole(AriaRole.BUTTON)
              .filter(new Locator.FilterOptions().setHasText(Pattern.compile("^2 ")))
              .first();
      second.click();
      String chapter = second.innerText().replaceAll("\\s+\\d+$", "");
      Person.twice(ilse.exactly("Cite chapter"));
      String cited = (String) ilse.page().evaluate("navigator.clipboard.readText()");
      assertThat(cited).startsWith("“" + chapter + "”, pp. ").contains(". In: ").contains(title);
      ilse.exactly("Keep chapter").click();
      Locator dialog = ilse.page().getByRole(AriaRole.DIALOG);
      assertThat(dialog.getByLabel("Why")).hasValue(cited.substring(0, cited.indexOf(". In: ")));
    }
  }

  @DisplayName("A text that is not where it should be: the reason, and the ways that are left")
  @Test
  void nowhere() {
    try (Person ilse = BROWSING.person("ilse")) {
      String dead =
          BROWSING
              .lantern()
              .query(
                  "select pid from publication p, jsonb_array_elements(p.fields::jsonb->'copies') c"
                      + " where c->>'open' = 'true' and c->>'address' like '%/text.html'"
                      + " and substring(c->>'address' from '/doc/([0-9]+)/')::int % 61 = 7 limit 1");
      String group = ilse.path().replaceFirst("(/g/[^/]+).*", "$1");
      ilse.page().navigate(BROWSING.lantern().address() + group + "/p/" + dead + "/text");
      assertThat(ilse.page().getByRole(AriaRole.ALERT)).containsText("answered 410");
      assertThat(ilse.link("Open it where it is").first()).isVisible();
      ilse.link("All ways to the text").click();
      assertThat(ilse.region("Ways to the text")).isInViewport();
    }
  }
}
