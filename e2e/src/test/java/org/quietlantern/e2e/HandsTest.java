package org.quietlantern.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.google.gson.JsonObject;
import com.microsoft.playwright.CDPSession;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.AriaRole;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/**
 * Somebody who knows what they want, at their speed: keys follow each other while answers are on
 * their way, on a machine that has a quarter of its power left. Nothing that was typed, limited,
 * ticked or marked is lost, and nothing is done that was meant as text.
 */
class HandsTest {
  /** Milliseconds between two letters: 120 words a minute. */
  private static final int LETTER = 100;

  /** Milliseconds by which answers are late. */
  private static final int LATE = 300;

  /** What stands for two seconds is settled; so long after it, it has been. */
  private static final int LONG_AFTER = 4_000;

  private static final String[][] SEARCHES = {
    {"beetles", "street lights"},
    {"moths", "dimming or curfew"},
    {"bats", "title: verges"},
    {"part-night", "survival"},
    {"glow-worms", "mating"},
    {"\"light traps\"", "skyglow"},
    {"spiders or beetles", "bridges"},
    {"owl*", "not hunting"},
    {"hawkmoths", "pollination"},
    {"author: oxlade", "moth*"},
  };

  @RegisterExtension private static final Browsing BROWSING = new Browsing();
  private Person ilse;
  private Page page;

  @BeforeEach
  void somebodyInAHurry() {
    ilse = BROWSING.person("ilse");
    page = ilse.page();
    CDPSession tools = page.context().newCDPSession(page);
    JsonObject rate = new JsonObject();
    rate.addProperty("rate", 4);
    tools.send("Emulation.setCPUThrottlingRate", rate);
    JsonObject late = new JsonObject();
    late.addProperty("offline", false);
    late.addProperty("latency", LATE);
    late.addProperty("downloadThroughput", -1);
    late.addProperty("uploadThroughput", -1);
    tools.send("Network.enable");
    tools.send("Network.emulateNetworkConditions", late);
  }

  @AfterEach
  void leave() {
    ilse.close();
  }

  private void type(String text) {
    page.keyboard()
        .type(text, new com.microsoft.playwright.Keyboard.TypeOptions().setDelay(LETTER));
  }

  private List<String> lines() {
    List<String> values = new ArrayList<>();
    for (Locator line : page.getByLabel(Pattern.compile("^Line \\d+$")).all()) {
      values.add(line.inputValue());
    }
    values.remove("");
    return values;
  }

  private Locator chosen() {
    return page.getByLabel("Publications found").locator("[aria-current=true]");
  }

  private String focused() {
    return String.valueOf(page.evaluate("document.activeElement.tagName"));
  }

  private int marks() {
    return Integer.parseInt(
        BROWSING.lantern().query("select count(*) from review_event where what <> 'undo'"));
  }

  @DisplayName(
      "Ten searches at 120 words a minute with late answers: no letter and no limit is lost")
  @Test
  void tenSearches() {
    int marks = marks();
    for (String[] search : SEARCHES) {
      // Typed on before the address has changed.
      ilse.link("New sheet").click();
      page.keyboard().press("/");
      type(search[0]);
      page.keyboard().press("Enter");
      page.keyboard().press("/");
      type(search[1]);
      assertThat(lines()).as("while answers come").containsExactly(search);
      page.keyboard().press("Enter");
      page.waitForTimeout(2 * LATE);
      assertThat(lines()).as("after Enter").containsExactly(search);
    }
    page.waitForTimeout(LONG_AFTER);
    assertThat(lines()).as("long after").containsExactly(SEARCHES[SEARCHES.length - 1]);
    assertThat(marks()).as("no letter was taken for a mark").isEqualTo(marks);
    String whole =
        "select count(*) from step t join kept_strategy k on k.id = t.strategy"
            + " join membership m on m.id = t.membership"
            + " where m.name like 'Ilse%' and k.strategy::text ~ '(street light\"|dimmin\"|surviva\")'";
    assertThat(BROWSING.lantern().query(whole)).as("no broken words on the trail").isEqualTo("0");
  }

  @DisplayName("What is changed in the moment in which a search settles by itself stays as it is")
  @Test
  void whileItSettles() {
    List<Route> settling = new ArrayList<>();
    page.route(
        Pattern.compile(".*/steps$"),
        route -> {
          settling.add(route);
        });
    ilse.newSheet();
    page.evaluate("document.activeElement.blur()");
    page.keyboard().press("/");
    type("bats");
    ilse.button("Breakdown").click();
    page.getByLabel("Divide by").selectOption("Kind");
    Locator article =
        page.getByLabel("Breakdown")
            .getByRole(AriaRole.BUTTON)
            .filter(new Locator.FilterOptions().setHasText(Pattern.compile("^article")));
    article.waitFor();
    page.waitForCondition(() -> !settling.isEmpty());
    article.click();
    ilse.line(1).click();
    page.keyboard().press("End");
    type(" or owls");
    settling.forEach(Route::resume);
    page.waitForTimeout(LONG_AFTER);
    assertThat(ilse.line(1).inputValue()).isEqualTo("bats or owls");
    assertThat(ilse.limit("Kind: article")).isVisible();
    page.unroute(Pattern.compile(".*/steps$"));
    ilse.line(1).press("Enter");
    page.waitForURL(Pattern.compile(".*/q/.*"));
    page.waitForTimeout(2 * LATE);
    page.reload();
    assertThat(ilse.line(1)).hasValue("bats or owls");
    assertThat(ilse.limit("Kind: article")).isVisible();
  }

  @DisplayName("Arrows right after Enter are meant for the list, and lead where they say")
  @Test
  void arrowsAfterEnter() {
    ilse.newSheet();
    page.evaluate("document.activeElement.blur()");
    page.keyboard().press("/");
    type("moths");
    page.keyboard().press("Enter");
    page.keyboard().press("ArrowDown");
    page.keyboard().press("ArrowDown");
    assertThat(chosen()).hasAttribute("aria-posinset", "3");
    assertThat(chosen().getByRole(AriaRole.LINK).first()).isFocused();
    page.waitForTimeout(LONG_AFTER);
    assertThat(chosen()).hasAttribute("aria-posinset", "3");
    page.keyboard().press("ArrowUp");
    assertThat(chosen()).hasAttribute("aria-posinset", "2");
  }

  @DisplayName("A digit marks what was reached on purpose, once, and 0 goes on back")
  @Test
  void marksAreMeant() {
    int before = marks();
    ilse.newSheet();
    page.evaluate("document.activeElement.blur()");
    page.keyboard().press("/");
    type("street lamps");
    page.keyboard().press("Enter");
    page.keyboard().press("2");
    page.waitForTimeout(700);
    assertThat(marks()).as("a digit in the middle of loading").isEqualTo(before);
    assertThat(chosen().getByRole(AriaRole.LINK).first()).isFocused();
    page.keyboard().press("2");
    assertThat(page.getByRole(AriaRole.STATUS).last()).containsText("choose a publication");
    assertThat(marks()).isEqualTo(before);
    page.keyboard().press("ArrowDown");
    page.keyboard().press("2");
    page.keyboard().press("3");
    assertThat(page.getByRole(AriaRole.STATUS).last()).containsText("Raised for the group");
    assertThat(marks()).as("two keys, two rows").isEqualTo(before + 2);
    assertThat(
            BROWSING
                .lantern()
                .query(
                    "select count(distinct publication) from (select publication from review_event"
                        + " order by id desc limit 2) t"))
        .isEqualTo("2");
    page.keyboard().press("0");
    page.keyboard().press("0");
    page.waitForCondition(
        () ->
            BROWSING
                .lantern()
                .query("select count(*) from review_event where what = 'undo'")
                .equals("2"));
    assertThat(
            BROWSING
                .lantern()
                .query(
                    "select count(*) from lamp l where l.event in (select id from review_event where what <> 'undo'"
                        + " order by id desc limit 2)"))
        .isEqualTo("0");
  }

  @DisplayName("Ticks come back after a reload, Back and another line; those elsewhere are said")
  @Test
  void ticks() {
    ilse.newSheet().search("moth*");
    Locator ticks = page.getByLabel("Publications found").getByRole(AriaRole.CHECKBOX);
    ticks.nth(0).check();
    ticks.nth(1).check();
    page.reload();
    assertThat(ilse.text("2 publications ticked")).isVisible();
    ilse.go("Folders");
    page.goBack();
    assertThat(ilse.text("2 publications ticked")).isVisible();
    ilse.line(2).fill("title: bats");
    assertThat(ilse.text("2 ticked publications are not in this list")).isVisible();
    ilse.line(2).fill("");
    assertThat(ilse.text("2 publications ticked")).isVisible();
    ilse.exactly("Untick").click();
    assertThat(ilse.text("ticked")).hasCount(0);
  }

  @DisplayName("The focus never falls to nothing; from the frame to the list are three stops")
  @Test
  void focus() {
    ilse.newSheet().search("moth*");
    page.keyboard().press("ArrowDown");
    page.keyboard().press("n");
    page.getByLabel("Why").fill("to read");
    page.keyboard().press("Enter");
    assertThat(page.getByRole(AriaRole.DIALOG)).hasCount(0);
    assertThat(focused()).as("after Keep").isNotEqualTo("BODY");
    page.keyboard().press("g");
    type("al");
    page.keyboard().press("Enter");
    page.waitForURL(Pattern.compile(".*/alerts$"));
    assertThat(focused()).as("after Go to").isNotEqualTo("BODY");
    ilse.go("Search");
    page.waitForURL(Pattern.compile(".*/q/.*"));
    ilse.button("Breakdown").click();
    page.getByLabel("from", new Page.GetByLabelOptions().setExact(true)).fill("2020");
    page.keyboard().press("Enter");
    assertThat(ilse.text("Years: from 2020")).isVisible();
    assertThat(focused()).as("after Set").isNotEqualTo("BODY");
    page.getByLabel("this year and the last").fill("3");
    page.keyboard().press("Enter");
    assertThat(ilse.text(Pattern.compile("^Years: this year and"))).isVisible();
    assertThat(focused()).as("after Roll").isNotEqualTo("BODY");
    ilse.button("Strike this limit").click();
    assertThat(focused()).as("after Strike").isNotEqualTo("BODY");

    page.reload();
    page.getByLabel("Publications found").waitFor();
    // From the beginning of the page.
    page.evaluate(
        "document.body.tabIndex = -1; document.body.focus();"
            + " document.body.removeAttribute('tabindex')");
    for (int stop = 0; stop < 3; stop++) {
      page.keyboard().press("Tab");
      if ("To the list".equals(page.evaluate("document.activeElement.textContent"))) {
        break;
      }
    }
    page.keyboard().press("Enter");
    assertThat(chosen().getByRole(AriaRole.LINK).first()).isFocused();
  }

  @DisplayName("In Arrivals two keys at once mark two rows; a letter of a reason marks none")
  @Test
  void arrivals() {
    ilse.go("Arrivals");
    page.getByText("What the group says").waitFor();
    Locator rows = page.getByLabel("Arrivals").getByRole(AriaRole.LISTITEM);
    if (rows.count() < 2) {
      page.keyboard().press("r");
      page.waitForTimeout(3 * LATE);
    }
    int before = marks();
    page.keyboard().press("5");
    page.keyboard().press("5");
    page.waitForCondition(() -> marks() == before + 2);
    assertThat(
            BROWSING
                .lantern()
                .query(
                    "select count(distinct publication) from (select publication from review_event"
                        + " order by id desc limit 2) t"))
        .isEqualTo("2");
    page.keyboard().press("n");
    type("12 traps");
    page.waitForTimeout(LATE);
    assertThat(marks()).isEqualTo(before + 2);
    page.keyboard().press("Enter");
    page.waitForTimeout(700);
    page.keyboard().press("2");
    page.waitForCondition(() -> marks() == before + 3);
    assertThat(BROWSING.lantern().query("select reason from review_event order by id desc limit 1"))
        .isEqualTo("12 traps");
  }
}
