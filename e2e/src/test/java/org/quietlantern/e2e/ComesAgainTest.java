package org.quietlantern.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.deque.html.axecore.playwright.AxeBuilder;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** A folder is followed, and what was decided on comes again when it is corrected. */
class ComesAgainTest {
  @RegisterExtension private static final Browsing BROWSING = new Browsing();

  /** As a source tells it; {@code nth} of what is kept in the folder. */
  private static void happens(String kind, int nth) {
    BROWSING
        .lantern()
        .query(
            "insert into publication_change (publication, kinds, at) select publication,"
                + " array['%s'], now() from (select publication from item i join folder f"
                    .formatted(kind)
                + " on f.id = i.folder where f.name = 'Bats at lit crossings' order by i.id"
                + " offset %d limit 1) kept".formatted(nth));
  }

  @DisplayName("By keyboard: its changes are followed; a correction is marked, the rest only told")
  @Test
  void followed() {
    try (Person ilse = BROWSING.person("ilse");
        Person teodor = BROWSING.person("teodor")) {
      ilse.go("Folders").link("Bats at lit crossings").first().click();
      // Two presses within a moment open one dialog.
      ilse.exactly("Follow it").dblclick();
      Locator dialog = ilse.page().getByRole(AriaRole.DIALOG);
      assertThat(dialog).hasCount(1);
      assertThat(dialog.getByLabel("Name of the search")).hasValue("Citing Bats at lit crossings");
      dialog.getByText("What newly cites anything").click();
      ilse.page().keyboard().press("ArrowDown");
      assertThat(dialog.getByLabel("Name of the search"))
          .hasValue("Changes in Bats at lit crossings");
      assertThat(dialog.getByText("by when each changed")).isVisible();
      dialog
          .getByRole(
              AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Set alert").setExact(true))
          .dblclick();
      assertThat(ilse.text("“Changes in Bats at lit crossings” is watched.")).isVisible();
      happens("corrected", 0);
      happens("final", 1);

      teodor.go("Alerts").link("Changes in Bats at lit crossings").click();
      assertThat(teodor.text("what changes of")).isVisible();
      teodor.go("Arrivals");
      Locator round = teodor.link("Changes in Bats at lit crossings");
      for (int tried = 0; round.count() == 0 && tried < 40; tried++) {
        teodor.page().waitForTimeout(500);
        teodor.page().reload();
        teodor.page().getByLabel("Rounds").first().waitFor();
      }
      round.first().click();
      assertThat(teodor.text("2 arrivals")).isVisible();
      assertThat(teodor.text("It was corrected.")).isVisible();
      Assertions.assertThat(new AxeBuilder(teodor.page()).analyze().getViolations()).isEmpty();
      // Marked at once, twice pressed, and undone; what is only told takes no mark.
      teodor.page().keyboard().press("5");
      teodor.page().keyboard().press("5");
      assertThat(teodor.text(Pattern.compile("^0 left for you in this round"))).isVisible();
      teodor.page().keyboard().press("j");
      teodor.page().keyboard().press("k");
      teodor.page().keyboard().press("k");
      assertThat(teodor.text("It appeared in its final version.")).isVisible();
      teodor.page().waitForTimeout(400);
      teodor.page().keyboard().press("2");
      assertThat(teodor.text("Nothing was marked: this is only told.")).isVisible();
    }
  }
}
