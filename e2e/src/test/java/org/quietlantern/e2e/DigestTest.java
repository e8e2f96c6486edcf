package org.quietlantern.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Keyboard;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Two weeks pass, a letter comes, and its links are followed. */
class DigestTest {
  @RegisterExtension private static final Browsing BROWSING = new Browsing();

  private static String path(String letter, String like) {
    Matcher link =
        Pattern.compile("href=\"https?://[^/\"]+((?=/)[^\"]*" + like + "[^\"]*)\"").matcher(letter);
    if (!link.find()) {
      throw new AssertionError("no link like " + like);
    }
    return link.group(1).replace("&#x3D;", "=").replace("&amp;", "&");
  }

  private static void open(Person person, String path) {
    person.page().navigate(BROWSING.lantern().address() + path);
  }

  @DisplayName("A mark from a letter is made by one button; letters of an alert stop by another")
  @Test
  void fromALetter() {
    try (Person noor = BROWSING.person("noor");
        Person anybody = BROWSING.stranger()) {
      noor.button("a week later").click();
      assertThat(noor.text(Pattern.compile("^It is \\d+ (Nov|Dec)"))).isVisible();
      noor.page().reload();
      noor.button("a week later").click();
      String letter = BROWSING.lantern().letterTo("noor@ternhollow.example", " new");
      assertThat(letter).contains("here since ", "Why: ", "/letters/");
      String mark = path(letter, "/mark/[^\"]*pass");

      // Not signed in, the link leads to the page all the same, and has changed nothing by then.
      open(anybody, mark);
      anybody.page().getByLabel("E-mail").fill("noor@ternhollow.example");
      anybody.page().getByLabel("Password").fill(Lantern.PASSWORD);
      anybody.page().keyboard().press("Enter");
      Locator form = anybody.page().getByRole(AriaRole.FORM).first();
      assertThat(anybody.page().getByLabel("Pass", exactly())).isChecked();
      assertThat(form.getByRole(AriaRole.STATUS)).hasText("You have said nothing of it yet.");
      anybody.page().getByLabel("Reason").click();
      anybody.page().keyboard().type("not of our region", new Keyboard.TypeOptions().setDelay(12));
      Person.twice(anybody.exactly("Say it"));
      assertThat(form.getByRole(AriaRole.STATUS)).hasText("You said: pass.");
      // The same link again, in another window: it is said already, and nothing is said anew.
      open(noor, mark);
      assertThat(noor.text("You said: pass.").or(noor.page().getByRole(AriaRole.STATUS)).first())
          .isVisible();
      assertThat(noor.page().getByLabel("Reason")).hasValue("");
      Views.sound(noor);
      noor.page().getByRole(AriaRole.LINK, linkLike("^Its round, ")).click();
      assertThat(noor.region("This round")).isVisible();

      open(anybody, path(letter, "/letters/"));
      assertThat(anybody.page().getByRole(AriaRole.HEADING)).hasText("No more of this by mail?");
      anybody.page().getByRole(AriaRole.BUTTON).click();
      assertThat(anybody.page().getByRole(AriaRole.HEADING)).hasText("It is done");
    }
  }

  @DisplayName("When letters come: a second hour, no Sundays; it stands so after loading anew")
  @Test
  void when() {
    try (Person teodor = BROWSING.person("teodor")) {
      open(
          teodor,
          teodor.page().url().replaceAll("^https?://[^/]+|/(search|q).*$", "") + "/account");
      Locator letters = teodor.region("Letters");
      letters.getByLabel("Sunday").uncheck();
      letters.getByText("Another hour").click();
      letters.getByText("Set it so").click();
      assertThat(teodor.text("Your letters come so.")).isVisible();
      teodor.page().reload();
      assertThat(letters.getByLabel("Sunday")).not().isChecked();
      assertThat(letters.getByLabel("and at")).hasValue("16:00");
      Views.sound(teodor);
    }
  }

  private static Page.GetByLabelOptions exactly() {
    return new Page.GetByLabelOptions().setExact(true);
  }

  private static Page.GetByRoleOptions linkLike(String words) {
    return new Page.GetByRoleOptions().setName(Pattern.compile(words));
  }
}
