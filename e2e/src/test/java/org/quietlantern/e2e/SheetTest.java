package org.quietlantern.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.SelectOption;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** The sheet, the list and the leaf as somebody uses them who sees them for the first time. */
class SheetTest {
  @RegisterExtension private static final Browsing BROWSING = new Browsing();
  private static Person ilse;

  @BeforeAll
  static void open() {
    ilse = BROWSING.person("ilse");
  }

  @BeforeEach
  void anEmptySheet() {
    ilse.newSheet();
  }

  private static Locator bar() {
    return ilse.page().getByLabel("Result", new Page.GetByLabelOptions().setExact(true));
  }

  private static Locator status() {
    return bar().getByRole(AriaRole.STATUS);
  }

  /** The count, once it belongs to the lines as they are. */
  private static int count() {
    assertThat(status()).hasText(Pattern.compile("^[\\d,]+ publications?$"));
    return Integer.parseInt(status().innerText().replaceAll("\\D", ""));
  }

  private static Locator row(int line) {
    return ilse.page().getByLabel("Sheet").getByRole(AriaRole.LISTITEM).nth(line - 1);
  }

  private static int counted(int line, String what) {
    Pattern number = Pattern.compile(what + " ([\\d,]+)");
    assertThat(row(line)).containsText(number);
    var found = number.matcher(row(line).textContent());
    assertThat(found.find()).isTrue();
    return Integer.parseInt(found.group(1).replace(",", ""));
  }

  private static void divideBy(String property) {
    ilse.page().getByLabel("Divide by").selectOption(new SelectOption().setLabel(property));
  }

  @DisplayName("A broad word, three narrowing steps, a synonym, a limit on and off, an undo")
  @Test
  void withoutHelp() {
    ilse.search("moth*");
    int broad = count();
    assertThat(broad).isGreaterThan(200);
    ilse.line(2).fill("dimming");
    assertThat(row(2)).containsText("left after it");
    ilse.line(2).press("Enter");
    int second = count();
    assertThat(second).isLessThan(broad);
    assertThat(bar()).containsText("was " + broad);
    ilse.line(3).fill("survival or abundance or activity or behaviour");
    ilse.line(3).press("Enter");
    assertThat(row(3)).containsText("left after it");
    int third = count();
    assertThat(third).isLessThan(second);
    assertThat(counted(3, "left after it")).isEqualTo(third);
    assertThat(counted(3, "without it")).isEqualTo(second);

    ilse.line(2).fill("dimming or curfew");
    assertThat(row(2)).containsText("curfew");
    assertThat(status()).not().containsText("before");
    int wider = count();
    assertThat(wider).isGreaterThanOrEqualTo(third);

    ilse.button("Limit").first().click();
    divideBy("Kind");
    ilse.page().getByLabel("Breakdown").getByText("article", exactly()).click();
    assertThat(ilse.limit("Kind: article")).isVisible();
    assertThat(status()).not().hasText(Pattern.compile("^" + wider + " "));
    int limited = count();
    assertThat(limited).isLessThan(wider);
    ilse.button("Kind: article").focus();
    ilse.button("Switch off").click();
    assertThat(status()).hasText(Pattern.compile("^" + wider + " "));
    ilse.button("Undo").first().click();
    assertThat(status()).hasText(Pattern.compile("^" + limited + " "));
  }

  private static Locator.GetByTextOptions exactly() {
    return new Locator.GetByTextOptions().setExact(true);
  }

  @DisplayName("The same by keyboard alone")
  @Test
  void byKeyboard() {
    Page page = ilse.page();
    // An empty sheet may have the focus in its line already, where a slash is a slash.
    page.evaluate("document.activeElement.blur()");
    page.keyboard().press("/");
    assertThat(ilse.line(1)).isFocused();
    page.keyboard().type("moth*");
    page.keyboard().press("Enter");
    assertThat(page.getByLabel("Publications found").getByRole(AriaRole.LINK).first()).isFocused();
    int broad = count();
    page.keyboard().press("/");
    assertThat(ilse.line(2)).isFocused();
    page.keyboard().type("dimming");
    page.keyboard().press("Escape");
    page.keyboard().press("Enter");
    assertThat(bar()).containsText("was " + broad);
    int narrow = count();
    page.keyboard().press("ArrowDown");
    Locator second = page.getByLabel("Publications found").getByRole(AriaRole.LISTITEM).nth(1);
    assertThat(second).hasAttribute("aria-current", "true");
    assertThat(page.getByLabel("Leaf").getByRole(AriaRole.HEADING).first())
        .hasText(second.getByRole(AriaRole.LINK).first().textContent());
    page.keyboard().press("p");
    String text =
        page.getByLabel("Leaf").locator("p.font-serif").first().textContent().substring(0, 40);
    assertThat(second).containsText(text);
    page.keyboard().press("u");
    assertThat(status()).hasText(Pattern.compile("^" + String.format("%,d", broad) + " "));
    page.keyboard().press("U");
    assertThat(status()).hasText(Pattern.compile("^" + narrow + " "));
    page.keyboard().press("/");
    page.keyboard().press("ArrowUp");
    page.keyboard().press("Alt+ArrowUp");
    assertThat(ilse.line(1)).hasValue("dimming");
    assertThat(status()).hasText(Pattern.compile("^" + narrow + " "));
  }

  @DisplayName("What is suggested can be taken by keys, and stands in its field")
  @Test
  void suggestions() {
    ilse.line(1).fill("");
    ilse.line(1).pressSequentially("pipistr");
    assertThat(ilse.page().getByRole(AriaRole.LISTBOX)).containsText("Pipistrellus");
    ilse.line(1).press("ArrowDown");
    ilse.line(1).press("Enter");
    assertThat(ilse.line(1)).hasValue(Pattern.compile("^heading/exact: \"Pipistrellus"));
    assertThat(ilse.page().getByRole(AriaRole.LISTBOX)).hasCount(0);
  }

  @DisplayName("Too few: the line that costs most is named, and the way out is one key")
  @Test
  void waysOut() {
    ilse.search("moth*");
    int broad = count();
    ilse.line(2).fill("xylophonne");
    assertThat(ilse.page().getByLabel("What would help")).containsText("alone finds nothing");
    assertThat(ilse.page().getByLabel("What would help")).containsText("finds " + broad);
    ilse.line(2).blur();
    ilse.page().keyboard().press("w");
    assertThat(status()).hasText(Pattern.compile("^" + broad + " "));
    assertThat(row(2)).containsText("off");
  }

  @DisplayName("The strategy as one line of CQL, edited both ways")
  @Test
  void cql() {
    ilse.search("moth*");
    ilse.button("CQL").click();
    Locator text = ilse.page().getByLabel("In CQL");
    assertThat(text).hasValue("(any = \"moth*\")");
    assertThat(ilse.text("Publications with moth*.")).isVisible();
    text.fill("(any = \"bat\") and (limit.date within \"2020 *\" not");
    ilse.button("Put on the sheet").click();
    assertThat(ilse.page().getByRole(AriaRole.ALERT)).containsText("something is missing here");
    text.fill("(any = \"bat\") and (limit.date within \"2020 *\")");
    ilse.button("Put on the sheet").click();
    assertThat(ilse.line(1)).hasValue("bat");
    assertThat(ilse.text("Years: from 2020")).isVisible();
  }

  @DisplayName("A held strategy finds what it found by itself; by source says who supplied it")
  @Test
  void held() {
    ilse.search("hawkmoths");
    int alone = count();
    ilse.newSheet();
    ilse.button("Hold a strategy").click();
    ilse.page().getByLabel(Pattern.compile("^hawkmoths")).check();
    ilse.button("Put on the sheet").click();
    assertThat(status()).hasText(Pattern.compile("^" + alone + " "));
    ilse.button("By source").click();
    assertThat(ilse.page().locator("dialog")).containsText("Fjordside Repository");
    ilse.page()
        .locator("dialog")
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Close"))
        .click();
  }

  @DisplayName("Several are ticked and kept at once; without a choice in the pile, which is named")
  @Test
  void ticked() {
    ilse.search("glow-worms");
    Locator ticks = ilse.page().getByLabel("Publications found").getByRole(AriaRole.CHECKBOX);
    ticks.nth(0).check();
    ticks.nth(1).check();
    assertThat(ilse.text("2 publications ticked")).isVisible();
    ilse.page().keyboard().press("1");
    ilse.page().getByLabel("Folder").selectOption("pile");
    ilse.page().getByLabel("Why").fill("for my own reading");
    ilse.page().keyboard().press("Enter");
    assertThat(ilse.page().getByRole(AriaRole.STATUS).last())
        .containsText("2 publications kept in My pile.");
    assertThat(
            BROWSING
                .lantern()
                .query(
                    "select count(*) from item i join folder f on f.id = i.folder join membership m on m.id = f.owner where m.name like 'Ilse%'"))
        .isEqualTo("2");
    assertThat(
            BROWSING
                .lantern()
                .query(
                    "select distinct e.what from review_event e join item i on i.publication = e.publication join folder f on f.id = i.folder and f.owner = e.membership join membership m on m.id = f.owner where m.name like 'Ilse%'"))
        .isEqualTo("seen");
  }

  @DisplayName("A keep made after the visit has ended is offered again after sign-in")
  @Test
  void afterTheVisit() {
    try (Person maren = BROWSING.person("maren")) {
      maren.search("moths");
      maren.page().keyboard().press("ArrowDown");
      maren.page().keyboard().press("1");
      maren.page().getByLabel("Why").fill("before it is lost");
      BROWSING.lantern().query("delete from spring_session");
      maren.page().keyboard().press("Enter");
      maren.page().getByLabel("E-mail").fill("maren@ternhollow.example");
      maren.page().getByLabel("Password").fill(Lantern.PASSWORD);
      maren.page().keyboard().press("Enter");
      maren.page().getByText("Your visit had ended").waitFor();
      maren.button("Do it now").click();
      assertThat(maren.page().getByRole(AriaRole.STATUS).last()).containsText("Kept in My pile.");
      assertThat(
              BROWSING
                  .lantern()
                  .query("select text from item_reason where text like 'before it is%'"))
          .isEqualTo("before it is lost");
    }
    ilse.page().reload();
    ilse.page().getByLabel("E-mail").fill("ilse@ternhollow.example");
    ilse.page().getByLabel("Password").fill(Lantern.PASSWORD);
    ilse.page().keyboard().press("Enter");
    ilse.line(1).waitFor();
  }

  @DisplayName("O3: a late answer never stands for a newer question")
  @Test
  void lateAnswers() {
    List<Route> held = new ArrayList<>();
    ilse.page()
        .route(
            "**/api/groups/*/search",
            route -> {
              if (route.request().postData().contains("\"moths\"")) {
                held.add(route);
              } else {
                route.resume();
              }
            });
    ilse.line(1).fill("moths");
    ilse.page().waitForCondition(() -> !held.isEmpty());
    ilse.line(1).fill("bats");
    int bats = count();
    held.forEach(Route::resume);
    ilse.page().waitForTimeout(1000);
    assertThat(count()).isEqualTo(bats);
    ilse.page().unroute("**/api/groups/*/search");
  }

  @DisplayName("Years are picked by dragging across, typed, and rolled")
  @Test
  void years() {
    ilse.search("bats");
    ilse.button("Breakdown").click();
    Locator bars = ilse.page().getByLabel("Breakdown").getByRole(AriaRole.LISTITEM);
    bars.last().waitFor();
    int last = bars.count() - 1;
    bars.nth(last - 3)
        .getByRole(AriaRole.BUTTON)
        .dragTo(bars.nth(last - 1).getByRole(AriaRole.BUTTON));
    assertThat(ilse.text(Pattern.compile("^Years: 20\\d\\d to 20\\d\\d$"))).isVisible();
    ilse.page().getByLabel("from", new Page.GetByLabelOptions().setExact(true)).fill("2026-03");
    ilse.page().getByLabel("to", new Page.GetByLabelOptions().setExact(true)).fill("2019");
    ilse.exactly("Set").first().click();
    assertThat(row(2)).containsText("were the wrong way round");
    ilse.page().getByLabel("this year and the last").fill("2");
    ilse.button("Roll").click();
    assertThat(row(2)).containsText("now 2024 to 2026");
  }
}
