package org.quietlantern.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Keyboard;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.SelectOption;
import java.util.regex.Pattern;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** A folder for some of the group, for somebody from outside, and for whoever has its link. */
class SharedFolderTest {
  private static final Keyboard.TypeOptions FAST = new Keyboard.TypeOptions().setDelay(12);
  private static final String FOLDER = "Methods and loggers";
  @RegisterExtension private static final Browsing BROWSING = new Browsing();

  private static void says(Person person, String member, String may) {
    person
        .page()
        .getByLabel("What " + member + " may")
        .selectOption(new SelectOption().setLabel(may));
  }

  @DisplayName("Closed to all but two while a colleague looks; opened again, it is there again")
  @Test
  void closed() {
    try (Person sefa = BROWSING.person("sefa");
        Person maren = BROWSING.person("maren");
        Person teodor = BROWSING.person("teodor")) {
      maren.go("Folders");
      assertThat(maren.link("Verge lighting").first()).isVisible();
      sefa.go("Folders");
      sefa.page().getByLabel("New folder").click();
      sefa.page().keyboard().type("Drafts of the review", FAST);
      sefa.page().keyboard().press("Enter");
      sefa.link("Drafts of the review").click();
      assertThat(maren.link("Drafts of the review")).isVisible();
      sefa.link("Who sees it").click();
      sefa.page().getByLabel("for those named only", loosely()).check();
      says(sefa, "Teodor Vance", "reads");
      // Twice, as whoever is in a hurry: set once, and nothing is said against it.
      Person.twice(sefa.button("Set it so"));
      assertThat(maren.link("Drafts of the review")).hasCount(0);
      assertThat(sefa.page().getByRole(AriaRole.ALERT)).hasCount(0);
      teodor.go("Folders").link("Drafts of the review").click();
      assertThat(teodor.text("for some of the group · you read").first()).isVisible();
      assertThat(teodor.exactly("End it")).hasCount(0);
      String address = teodor.path();
      maren.page().navigate(BROWSING.lantern().address() + address);
      assertThat(maren.text("There is nothing at this address.").first()).isVisible();
      sefa.exactly("Undo").first().click();
      maren.go("Folders");
      assertThat(maren.link("Drafts of the review")).isVisible();
    }
  }

  private static Page.GetByLabelOptions loosely() {
    return new Page.GetByLabelOptions().setExact(false);
  }

  @DisplayName("Asked from outside by a letter: reads the folder, remarks, sees nothing else")
  @Test
  void fromOutside() {
    try (Person sefa = BROWSING.person("sefa");
        Person vera = BROWSING.stranger()) {
      sefa.go("Folders").link(FOLDER).click();
      sefa.link("Who sees it").click();
      sefa.page().getByLabel("E-mail address").click();
      sefa.page().keyboard().type("vera@elsewhere.example", FAST);
      sefa.region("From outside").getByRole(AriaRole.COMBOBOX).selectOption("remark");
      Person.twice(sefa.button("Ask them"));
      assertThat(sefa.region("From outside")).containsText("the letter is sent");
      assertThat(sefa.region("From outside").getByRole(AriaRole.LISTITEM)).hasCount(1);
      String code = BROWSING.lantern().letters().replaceFirst("(?s).*/join#([\\w-]+).*", "$1");
      vera.page().navigate(BROWSING.lantern().address() + "/join#" + code);
      assertThat(vera.text("asks you to read and remark on the folder")).isVisible();
      vera.page().keyboard().type("Vera Quill", FAST);
      vera.page().keyboard().press("Tab");
      vera.page().keyboard().type("recorder-by-night", FAST);
      vera.page().keyboard().press("Enter");
      vera.page().waitForURL(Pattern.compile(".*/g/[^/]+/folders"));
      Locator places = vera.page().getByRole(AriaRole.NAVIGATION, named("Places"));
      assertThat(places.getByRole(AriaRole.LINK)).hasText(new String[] {"Folders"});
      vera.link(FOLDER).click();
      Locator say = vera.page().getByLabel("Say something to the group");
      say.click();
      vera.page().keyboard().type("We built this one: it works.", FAST);
      vera.page().keyboard().press("Control+Enter");
      assertThat(vera.page().getByLabel("Remarks")).containsText("Vera Quill");
      assertThat(vera.page().getByLabel("Remarks")).containsText("We built this one: it works.");
      assertThat(vera.text("Ways to the text")).hasCount(0);
      String group = vera.path().replaceAll("/f/.*", "");
      for (String place : new String[] {"/today", "/search", "/arrivals", "/group", "/trail"}) {
        vera.page().navigate(BROWSING.lantern().address() + group + place);
        vera.page().waitForURL(Pattern.compile(".*/folders"));
        assertThat(vera.link(FOLDER)).isVisible();
      }
      sefa.link("Back to the folder").click();
      assertThat(sefa.page().getByLabel("Remarks")).containsText("We built this one: it works.");
      vera.page().setViewportSize(390, 800);
      vera.link(FOLDER).click();
      assertThat(vera.page().getByLabel("Publications kept")).isVisible();
    }
  }

  private static Page.GetByRoleOptions named(String name) {
    return new Page.GetByRoleOptions().setName(name);
  }

  @DisplayName("By a link whoever has it reads citations; revoked it is gone, and says so")
  @Test
  void byLink() {
    try (Person sefa = BROWSING.person("sefa");
        Person stranger = BROWSING.stranger()) {
      sefa.go("Folders").link("Review: part-night lighting").click();
      sefa.link("Who sees it").click();
      Person.twice(sefa.button("Make a link"));
      Locator link = sefa.region("Link").getByRole(AriaRole.LINK).first();
      String address = link.getAttribute("href");
      stranger.page().navigate(address);
      assertThat(stranger.page().getByRole(AriaRole.HEADING))
          .hasText("Review: part-night lighting");
      assertThat(stranger.page().locator(".citations li").first()).isVisible();
      assertThat(stranger.page().locator("body")).not().containsText("Sefa");
      stranger.link("As a bibliography").click();
      assertThat(stranger.text("APA Style 7th edition")).isVisible();
      Locator entry = stranger.page().locator(".bibliography .hanging").first();
      assertThat(entry).isVisible();
      assertThat(entry).hasCSS("text-indent", Pattern.compile("-\\d.*px"));
      sefa.page().getByLabel("with the annotations that are agreed").click();
      assertThat(sefa.page().getByLabel("with the annotations that are agreed")).isChecked();
      sefa.button("Revoke the link").click();
      assertThat(sefa.button("Make a link")).isVisible();
      stranger.page().reload();
      assertThat(stranger.text("This address was revoked").first()).isVisible();
    }
  }
}
