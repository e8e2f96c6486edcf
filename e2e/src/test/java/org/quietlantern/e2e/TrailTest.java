package org.quietlantern.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.nio.file.Files;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Headings, ways outward, the trail and the report, by somebody who sees them first. */
class TrailTest {
  @RegisterExtension private static final Browsing BROWSING = new Browsing();
  private static Person maren;

  @BeforeAll
  static void open() {
    maren = BROWSING.person("maren");
  }

  private static Locator status() {
    return maren.page().getByLabel("Result").getByRole(AriaRole.STATUS);
  }

  private static int count() {
    assertThat(status()).hasText(Pattern.compile("^[\\d,]+ publications?$"));
    return Integer.parseInt(status().innerText().replaceAll("\\D", ""));
  }

  private static int number(Locator with) {
    return Integer.parseInt(with.innerText().replaceAll("\\D", ""));
  }

  @DisplayName("H1 to H3: an everyday word leads to its heading, with narrower, central only")
  @Test
  void headings() {
    Page page = maren.go("Catalogue").page();
    page.getByLabel("Everyday words").fill("moths");
    Locator found = page.getByLabel("Headings found").getByRole(AriaRole.LINK).first();
    assertThat(found).hasText("Lepidoptera");
    found.click();
    Locator pane = page.getByLabel("Heading", new Page.GetByLabelOptions().setExact(true));
    assertThat(pane).containsText("Also called Moths");
    pane.getByLabel("What is meant").selectOption("below");
    pane.getByLabel("Where it stands").selectOption("central");
    Locator finds = pane.getByText(Pattern.compile("^finds [\\d,]+$"));
    assertThat(pane).containsText("heading/narrower/central: \"Lepidoptera\"");
    int promised = number(finds);
    pane.getByText("Search for it").click();
    assertThat(maren.line(1)).hasValue("heading/narrower/central: \"Lepidoptera\"");
    int both = count();
    assertThat(both).isEqualTo(promised);
    maren.search("heading/narrower: \"Lepidoptera\"");
    assertThat(status()).not().hasText(Pattern.compile("^" + both + " "));
    assertThat(count()).isGreaterThan(both);
  }

  @DisplayName("From a good paper to what cites it, and to what is like it")
  @Test
  void outward() {
    Page page = maren.newSheet().search("moth* dimming").page();
    Locator leaf = page.getByLabel("Leaf");
    count();
    Locator first = page.getByLabel("Publications found").getByRole(AriaRole.LINK).first();
    assertThat(first).isFocused();
    assertThat(leaf.getByRole(AriaRole.HEADING).first()).hasText(first.textContent());
    Locator citing = leaf.getByRole(AriaRole.LINK).filter(having("^cited by [\\d,]+ here$"));
    assertThat(citing).isVisible();
    int cited = number(citing);
    citing.click();
    assertThat(maren.line(1)).hasValue(Pattern.compile("^cites: \"10\\.5555/"));
    assertThat(status()).hasText(Pattern.compile("^" + cited + " publications?$"));
    Locator alike = leaf.getByRole(AriaRole.LINK).filter(having("^alike \\d+$"));
    int many = number(alike);
    alike.click();
    assertThat(page.getByLabel("Held strategies")).containsText("what is like “");
    assertThat(status()).hasText(Pattern.compile("^" + many + " publications?$"));
  }

  private static Locator.FilterOptions having(String pattern) {
    return new Locator.FilterOptions().setHasText(Pattern.compile(pattern));
  }

  @DisplayName("A heading of a publication joins the present search, switched off for later")
  @Test
  void headingOfAPublication() {
    Page page = maren.newSheet().search("curfew").page();
    int before = count();
    Locator leaf = page.getByLabel("Leaf");
    Locator heading = leaf.locator("ul button[aria-expanded]").first();
    String name = heading.innerText().replace(" (central)", "");
    heading.click();
    leaf.getByText("On the sheet for later").click();
    assertThat(maren.line(2)).hasValue("heading/exact: \"" + name + "\"");
    assertThat(status()).hasText(Pattern.compile("^" + before + " "));
    assertThat(page.getByLabel("Sheet")).containsText("off");
  }

  @DisplayName("Two attempts are compared, one of them goes on as a line, and is reported")
  @Test
  void trail() throws IOException {
    maren.newSheet().search("bats");
    int broad = count();
    maren.newSheet().search("bats or owls");
    int wide = count();
    Page page = maren.page();
    page.getByText("Trail", new Page.GetByTextOptions().setExact(true)).click();
    page.getByLabel("Tick bats or owls").check();
    page.getByLabel("Tick bats", new Page.GetByLabelOptions().setExact(true)).check();
    maren.button("Compare the two").click();
    assertThat(maren.button("gained " + (wide - broad))).isVisible();
    assertThat(maren.button("lost 0")).isVisible();
    assertThat(maren.button("common " + broad)).isVisible();
    assertThat(page.getByLabel("Publications found").getByRole(AriaRole.LISTITEM).first())
        .isVisible();
    maren.button("lost 0").click();
    assertThat(page.getByText("The first finds nothing that the second")).isVisible();
    page.navigate(page.url().replaceAll("/compare.*", "/trail"));
    page.getByLabel("Words of a step").fill("owls");
    assertThat(page.getByLabel(Pattern.compile("^Tick "))).hasCount(1);
    page.getByText("Put on the sheet as a line").click();
    assertThat(page.getByLabel("Held strategies")).containsText("bats or owls");
    page.goBack();
    page.getByText("Report", new Page.GetByTextOptions().setExact(true)).click();
    assertThat(page.getByRole(AriaRole.HEADING).first()).hasText("Search report: bats or owls");
    assertThat(page.getByText("1. bats or owls")).isVisible();
    Download text = page.waitForDownload(() -> page.getByText("Download as text").click());
    assertThat(Files.readString(text.path())).contains("1. bats or owls", "The Night Index");
  }
}
