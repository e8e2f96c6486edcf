package org.quietlantern.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Keyboard;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.io.InputStream;
import java.net.URI;
import java.net.URLConnection;
import java.nio.charset.StandardCharsets;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Alerts are set from where one is. */
class WatchingTest {
  @RegisterExtension private static final Browsing BROWSING = new Browsing();

  /** Milliseconds between the letters of a fast typist. */
  private static final double FAST = 35;

  private static Locator dialog(Person person) {
    return person.page().getByRole(AriaRole.DIALOG);
  }

  private static Locator name(Person person) {
    return person.page().getByLabel("Name of the search and its alert");
  }

  private static Locator inDialog(Person person, String act) {
    return dialog(person)
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(act).setExact(true));
  }

  @DisplayName("On a journal, before its year is worked out: once, under the name that was typed")
  @Test
  void journal() {
    try (Person ilse = BROWSING.person("ilse");
        Person teodor = BROWSING.person("teodor")) {
      ilse.page()
          .route(
              "**/alerts/foreseen",
              route -> {
                ilse.page().waitForTimeout(1_200);
                route.resume();
              });
      ilse.go("Catalogue").link("Journals").first().click();
      ilse.link("Annals of Verge Ecology").first().click();
      ilse.button("Set an alert on its new issues").click();
      assertThat(name(ilse)).isFocused();
      assertThat(name(ilse)).hasValue("Annals of Verge Ecology");
      ilse.page().keyboard().press("Control+A");
      // Typed while the year comes: nothing of it is lost, and the field keeps the focus.
      ilse.page()
          .keyboard()
          .type("Verge ecology, its issues", new Keyboard.TypeOptions().setDelay(FAST));
      assertThat(dialog(ilse).getByText("The last twelve months")).isVisible();
      assertThat(name(ilse)).hasValue("Verge ecology, its issues");
      inDialog(ilse, "Set alert").dblclick();
      assertThat(dialog(ilse)).hasCount(0);
      Locator told = ilse.text("“Verge ecology, its issues” is watched.");
      assertThat(told).isVisible();
      teodor.go("Alerts");
      Locator line = teodor.link("Verge ecology, its issues");
      assertThat(line).hasCount(1);
      // Taken back, the search that was saved with it is gone, too.
      ilse.page().keyboard().press("Escape");
      ilse.button("Undo").first().click();
      teodor.page().reload();
      assertThat(teodor.link("Alerts").first()).isVisible();
      assertThat(line).hasCount(0);
    }
  }

  @DisplayName("By keyboard on what cites a work; two weeks later its page says what it did")
  @Test
  void cites() {
    try (Person maren = BROWSING.person("maren")) {
      maren.newSheet().search("author: oxlade");
      maren.page().getByLabel("Publications found").getByRole(AriaRole.LINK).first().click();
      Locator set = maren.button("Set an alert on what cites it").first();
      set.focus();
      maren.page().keyboard().press("Enter");
      assertThat(name(maren)).hasValue(Pattern.compile("^Citing .+"));
      maren.page().keyboard().press("Escape");
      assertThat(dialog(maren)).hasCount(0);
      assertThat(set).isFocused();
      maren.page().keyboard().press("Enter");
      name(maren).fill("Who cites it");
      maren.page().keyboard().press("Enter");
      assertThat(maren.text("“Who cites it” is watched.")).isVisible();
      maren.go("Alerts").link("Who cites it").click();
      maren.exactly("Try it").click();
      assertThat(maren.region("Tried").or(maren.page().getByLabel("Tried")).first())
          .containsText("Nothing was changed.");
      maren.exactly("Pause").click();
      assertThat(maren.text("It is paused.")).isVisible();
      maren.button("a week later").click();
      assertThat(maren.text(Pattern.compile("^It is \\d+ Dec"))).isVisible();
      assertThat(maren.text("In the pause came")).isVisible();
      maren.page().reload();
      assertThat(maren.text(Pattern.compile("came in the pause[.]$"))).isVisible();
      maren.exactly("Go on").click();
      assertThat(maren.text("It is paused.")).hasCount(0);
      maren.page().keyboard().press("Escape");
      maren.button("a week later").click();
      assertThat(maren.region("Last rounds")).containsText(Pattern.compile("nothing|arrival"));
    }
  }

  @DisplayName("On an author: first who is meant, then their year; usable by day and by night")
  @Test
  void author() {
    try (Person noor = BROWSING.person("noor")) {
      noor.newSheet().search("author: oxlade");
      noor.page().getByLabel("Publications found").getByRole(AriaRole.LINK).first().click();
      noor.text("Set an alert on an author").click();
      noor.page()
          .getByRole(AriaRole.BUTTON)
          .filter(new Locator.FilterOptions().setHasText("Oxlade"))
          .first()
          .click();
      Locator go = inDialog(noor, "Go on");
      assertThat(go.or(inDialog(noor, "Set alert"))).isVisible();
      if (go.isVisible()) {
        assertThat(dialog(noor)).containsText("Is this the same person?");
        Views.sound(noor);
        dialog(noor).getByRole(AriaRole.CHECKBOX).first().check();
        go.click();
      }
      assertThat(name(noor)).hasValue(Pattern.compile("^By .*Oxlade$"));
      assertThat(dialog(noor).getByText("The last twelve months")).isVisible();
      Views.sound(noor);
      noor.page().keyboard().press("Escape");
    }
  }

  @DisplayName(
      "A journal is followed by a feed from its page; who read it last stands on one's own")
  @Test
  void feed() throws IOException {
    try (Person sefa = BROWSING.person("sefa")) {
      sefa.go("Catalogue").link("Journals").first().click();
      sefa.link("Annals of Verge Ecology").first().click();
      Person.twice(sefa.exactly("Follow it by a feed"));
      Locator address = sefa.page().getByLabel("Address of Annals of Verge Ecology");
      assertThat(address).hasCount(1);
      assertThat(sefa.text("No reader has asked for it yet")).isVisible();
      URLConnection reader = URI.create(address.inputValue()).toURL().openConnection();
      reader.setRequestProperty("User-Agent", "Evening Reader 2");
      try (InputStream feed = reader.getInputStream()) {
        assertThat(sefa.page()).hasURL(Pattern.compile(".*/feeds$"));
        org.assertj.core.api.Assertions.assertThat(
                new String(feed.readAllBytes(), StandardCharsets.UTF_8))
            .contains("<title>Annals of Verge Ecology</title>", "<entry>");
      }
      sefa.page().reload();
      assertThat(sefa.text(Pattern.compile("by Evening Reader 2$"))).isVisible();
      sefa.exactly("What I have not looked at").click();
      assertThat(sefa.page().getByLabel("Address of What I have not looked at")).isVisible();
      Views.sound(sefa);
    }
  }

  @DisplayName("By choice opening an entry marks it seen, once, for whose feed it is")
  @Test
  void seenByFeed() throws IOException {
    try (Person maren = BROWSING.person("maren");
        Person noor = BROWSING.person("noor")) {
      maren.go("Alerts").link("Your feeds").click();
      maren.exactly("What I have not looked at").click();
      Locator address = maren.page().getByLabel("Address of What I have not looked at");
      assertThat(address).isVisible();
      org.assertj.core.api.Assertions.assertThat(entry(address.inputValue()))
          .doesNotContain("from=");
      maren.page().getByLabel("Opening an entry marks it seen").first().check();
      maren.page().reload();
      assertThat(maren.page().getByLabel("Opening an entry marks it seen").first()).isChecked();
      String entry = entry(address.inputValue());
      org.assertj.core.api.Assertions.assertThat(entry).contains("from=");
      noor.page().navigate(entry);
      assertThat(noor.page()).hasURL(Pattern.compile("/p/[^?]+$"));
      assertThat(noor.text("Seen, as you chose")).isHidden();
      maren.page().navigate(entry);
      assertThat(maren.text("Seen, as you chose for the feed that you came from.")).isVisible();
      assertThat(maren.page()).hasURL(Pattern.compile("/p/[^?]+$"));
      maren.page().getByText("Undo", new Page.GetByTextOptions().setExact(true)).first().click();
      assertThat(maren.text("Undone")).isVisible();
      maren.page().reload();
      assertThat(maren.page().getByRole(AriaRole.HEADING).first()).isVisible();
      assertThat(maren.text("Seen, as you chose")).isHidden();
    }
  }

  /** Where the first entry of a feed leads to. */
  private static String entry(String feed) throws IOException {
    try (InputStream read = URI.create(feed).toURL().openStream()) {
      String text = new String(read.readAllBytes(), StandardCharsets.UTF_8);
      Matcher link =
          Pattern.compile("<entry>.*?<link [^>]*href=\"([^\"]*/p/[^\"]*)\"", Pattern.DOTALL)
              .matcher(text);
      org.assertj.core.api.Assertions.assertThat(link.find()).as(text).isTrue();
      return link.group(1).replace("&amp;", "&");
    }
  }
}
