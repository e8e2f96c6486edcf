package org.quietlantern.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Keyboard;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Path;
import java.util.regex.Pattern;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** A group follows what journals announce: one by its address, others from a list. */
class FollowingTest {
  @RegisterExtension private static final Browsing BROWSING = new Browsing();

  private static final LocatorAssertions.IsVisibleOptions A_MINUTE =
      new LocatorAssertions.IsVisibleOptions().setTimeout(60_000);

  private static void catalogue(Person person) {
    person.go("Catalogue").link("Feeds of others").click();
    assertThat(
            person
                .page()
                .getByRole(
                    AriaRole.HEADING, new Page.GetByRoleOptions().setName("Feeds of others")))
        .isVisible();
  }

  @DisplayName("Looked at, typed on meanwhile, followed, and searched")
  @Test
  void following() {
    try (Person sefa = BROWSING.person("sefa")) {
      catalogue(sefa);
      Locator follow = sefa.exactly("Follow a feed");
      follow.focus();
      Keyboard keys = sefa.page().keyboard();
      keys.press("Enter");
      Locator address = sefa.page().getByLabel("Address of the feed (RSS or Atom)");
      // Answers are slow, and the address is typed on before they are there.
      sefa.page()
          .route(
              Pattern.compile(".*/followed/look"),
              route -> {
                sefa.page().waitForTimeout(600);
                route.resume();
              });
      String feed = BROWSING.lantern().outside("/feeds/9999-1004.rs");
      address.pressSequentially(feed, new Locator.PressSequentiallyOptions().setDelay(8));
      keys.press("Enter");
      keys.type("s", new Keyboard.TypeOptions().setDelay(8));
      assertThat(address).hasValue(feed + "s");
      assertThat(sefa.text("Nothing can be read there as a feed")).isVisible();
      sefa.page().unroute(Pattern.compile(".*/followed/look"));
      keys.press("Enter");
      assertThat(sefa.text(Pattern.compile("“Annals of Verge Ecology” has 20 works"))).isVisible();
      keys.press("Escape");
      assertThat(follow).isFocused();
      keys.press("Enter");
      address.fill(feed + "s");
      keys.press("Enter");
      assertThat(sefa.text(Pattern.compile("“Annals of Verge Ecology” has 20 works"))).isVisible();
      // What is pressed at once with Look is the same act; whoever has read it presses later.
      sefa.page().waitForTimeout(500);
      Person.twice(sefa.exactly("Follow it"));
      Locator line =
          sefa.page()
              .getByRole(AriaRole.LISTITEM)
              .filter(new Locator.FilterOptions().setHasText("Annals of Verge Ecology"));
      assertThat(line).hasCount(1);
      assertThat(line.getByText(Pattern.compile("^\\d\\d works came by it"))).isVisible(A_MINUTE);
      Views.sound(sefa);
      line.getByText("Search only here").click();
      assertThat(sefa.page().getByLabel("Publications found").getByRole(AriaRole.LINK).first())
          .isVisible();
      assertThat(sefa.text("Annals of Verge Ecology").first()).isVisible();
    }
  }

  @DisplayName(
      "Another reader's list: some of it with one act, undone with one; a file that is none")
  @Test
  void aList() {
    try (Person noor = BROWSING.person("noor")) {
      catalogue(noor);
      noor.exactly("Take feeds from a list").click();
      Locator file =
          noor.page().getByLabel("A list of feeds", new Page.GetByLabelOptions().setExact(true));
      file.setInputFiles(Path.of("pom.xml"));
      assertThat(noor.text("This is no list of feeds (OPML).")).isVisible();
      file.setInputFiles(
          new com.microsoft.playwright.options.FilePayload(
              "mine.opml",
              "text/x-opml",
              """
              <opml version="2.0"><body><outline text="Night">
              <outline text="Lamp &amp; Landscape" xmlUrl="%s"/>
              <outline text="Hedgerow Studies" xmlUrl="%s"/></outline></body></opml>
              """
                  .formatted(
                      BROWSING.lantern().outside("/feeds/9999-1225.rss"),
                      BROWSING.lantern().outside("/feeds/9999-1446.rss"))
                  .getBytes(java.nio.charset.StandardCharsets.UTF_8)));
      noor.page().getByLabel(Pattern.compile("Hedgerow Studies")).uncheck();
      Person.twice(noor.exactly("Follow 1 feed"));
      Locator heading =
          noor.page()
              .getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Lamp & Landscape"));
      assertThat(heading).hasCount(1);
      noor.button("Undo").first().click();
      assertThat(heading).hasCount(0);
    }
  }
}
