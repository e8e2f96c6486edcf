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

/** A colleague is asked with what one looks at; what a coordinator sets for the group. */
class AskingTest {
  private static final Keyboard.TypeOptions FAST = new Keyboard.TypeOptions().setDelay(12);
  private static final String ASKED = "Which words do I miss here?";
  @RegisterExtension private static final Browsing BROWSING = new Browsing();

  @DisplayName("Asked with a sheet, answered with another, which is looked at and taken")
  @Test
  void proposed() {
    try (Person teodor = BROWSING.person("teodor");
        Person ilse = BROWSING.person("ilse")) {
      teodor.newSheet().search("sodium");
      String sheet = teodor.path().replaceAll("\\?.*", "");
      teodor.exactly("Ask a colleague…").first().click();
      teodor.page().getByLabel("Whom").selectOption(new SelectOption().setLabel("Ilse Brandvold"));
      teodor.page().getByLabel("What you ask").click();
      teodor.page().keyboard().type(ASKED, FAST);
      // Twice, as whoever is in a hurry: one question all the same.
      Person.twice(teodor.exactly("Ask"));
      assertThat(teodor.text("Asked: Ilse Brandvold.")).isVisible();

      ilse.go("Today");
      assertThat(ilse.region("Waits for you").getByText(ASKED)).hasCount(1);
      ilse.link("Answer: " + ASKED).click();
      assertThat(ilse.region("What was looked at")).containsText("sodium");
      ilse.link("Open what they saw").click();
      ilse.page().waitForURL(Pattern.compile(".*" + sheet + ".*"));
      ilse.line(1).press("End");
      ilse.page().keyboard().type(" or amber", FAST);
      ilse.page().keyboard().press("Enter");
      ilse.page().waitForURL(url -> url.contains("/q/") && !url.contains(sheet));
      ilse.exactly("Ask a colleague…").first().click();
      // The question that one comes from is what is answered.
      Locator as =
          ilse.page()
              .getByRole(
                  AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName("As").setExact(true));
      assertThat(as.locator("option:checked")).containsText("an answer to Teodor Vance");
      ilse.page().getByLabel("What you say to it").click();
      ilse.page().keyboard().type("Amber, too.", FAST);
      ilse.exactly("Answer").click();
      assertThat(ilse.text("Answered, with this sheet.")).isVisible();
      ilse.go("Today");
      assertThat(ilse.region("Waits for you").getByText(ASKED)).hasCount(0);

      teodor.go("Today");
      teodor.link("Look: " + ASKED).click();
      Locator proposal = teodor.region("Proposed by Ilse Brandvold");
      assertThat(proposal).containsText("sodium or amber");
      assertThat(proposal.getByLabel("gained").getByRole(AriaRole.LISTITEM).first()).isVisible();
      assertThat(proposal.getByLabel("lost")).containsText("0 lost");
      proposal.getByText("Take this sheet").click();
      teodor.page().waitForURL(Pattern.compile(".*/q/.*"));
      assertThat(teodor.line(1)).hasValue("sodium or amber");
      teodor.exactly("Undo").last().click();
      teodor.go("Today");
      assertThat(teodor.region("Waits for you").getByText(ASKED)).hasCount(1);
    }
  }

  @DisplayName("Usual limits begin every new sheet, stand on it, and are struck like others")
  @Test
  void usualLimits() {
    try (Person ilse = BROWSING.person("ilse");
        Person maren = BROWSING.person("maren")) {
      ilse.newSheet().search("dimming");
      ilse.exactly("Limit").click();
      ilse.page().getByLabel("this year and the last").fill("5");
      ilse.exactly("Roll").click();
      ilse.exactly("Limits of the group").click();
      ilse.page().getByLabel("Keep the limits of this sheet as").fill("Recent");
      ilse.exactly("Keep for the group").click();
      ilse.link("Tern Hollow night ecology").click();
      Locator set = ilse.region("Set for the group");
      set.getByLabel("Limits that a new sheet begins with")
          .selectOption(new SelectOption().setLabel("Recent"));
      set.getByText("Set it so").click();
      assertThat(ilse.text("It is set for the group.")).isVisible();

      maren.page().reload();
      maren.go("Search").link("New sheet").click();
      Locator sheet = maren.page().getByLabel("Sheet", new Page.GetByLabelOptions().setExact(true));
      assertThat(sheet).containsText("from the group’s “Recent”");
      // Nothing is searched for yet, however long it stands: the page helps to begin.
      maren.page().waitForTimeout(3_000);
      assertThat(maren.text("Lines to try")).isVisible();
      assertThat(maren.page().getByLabel("Publications found")).hasCount(0);
      maren.page().keyboard().type("moth", FAST);
      maren.page().keyboard().press("Enter");
      maren.page().getByLabel("Publications found").waitFor();
      assertThat(sheet).containsText("from the group’s “Recent”");
      ilse.exactly("Undo").last().click();
      assertThat(set.getByLabel("Limits that a new sheet begins with")).hasValue("");
      maren.page().reload();
      maren.go("Search").link("New sheet").click();
      assertThat(sheet).not().containsText("Recent");
    }
  }
}
