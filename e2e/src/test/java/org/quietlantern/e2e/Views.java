package org.quietlantern.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.args.AxeRunOptions;
import com.deque.html.axecore.playwright.AxeBuilder;
import com.deque.html.axecore.results.Rule;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;

/**
 * Finds every view by following links, one of each kind; a new view falls under this by itself as
 * soon as a link leads to it.
 */
final class Views {
  private static final List<String> STANDARD =
      List.of("wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa");

  private static final String LINKS =
      "() => [...document.querySelectorAll('a[href]')]"
          + ".filter(a => a.origin === location.origin && !a.pathname.startsWith('/api'))"
          + ".map(a => a.pathname)";

  private static final List<String> OF_COLOURS = List.of("color-contrast", "link-in-text-block");

  private Views() {}

  /** Walks over all of them. */
  static void walk() {
    try (Lantern lantern = Lantern.prepared().withTexts();
        Chromium chromium = new Chromium();
        Person ilse = new Person(chromium.browser(), lantern)) {
      ilse.page().navigate(lantern.address() + "/sign-in");
      ilse.page().getByLabel("E-mail").waitFor();
      sound(ilse);
      ilse.signIn("ilse").search("moth* or dimming");
      assertThat(everySort(ilse, lantern)).hasSizeGreaterThan(20);
      filled(ilse, lantern);
      dialogs(ilse);
    }
  }

  /** Views that show something only when they are asked for it. */
  private static void filled(Person ilse, Lantern lantern) {
    String one = ilse.newSheet().search("moth* or dimming").path();
    String other = ilse.newSheet().search("bats").path();
    String group = one.replaceAll("/q/.*", "");
    List<String> names =
        Stream.of(one, other).map(path -> "q:" + path.replaceAll(".*/q/|\\?.*", "")).toList();
    for (String address :
        List.of(
            "/catalogue/headings?h=Lepidoptera",
            "/account",
            "/report?of=" + names.get(0),
            "/compare?one=" + names.get(0) + "&other=" + names.get(1))) {
      ilse.page().navigate(lantern.address() + group + address);
      ilse.page().getByRole(AriaRole.HEADING).nth(1).waitFor();
      sound(ilse);
    }
    group(ilse, lantern);
    folder(ilse);
    bibliography(ilse);
    reading(ilse, lantern);
    ilse.page().navigate(lantern.address() + group + "/catalogue/sources");
    for (String act :
        List.of("Add a source", "Load files", "Change The Night Index", "End The Night Index")) {
      ilse.button(act).click();
      ilse.page().locator("dialog[open]").waitFor();
      sound(ilse);
      ilse.page().keyboard().press("Escape");
      gone(ilse);
    }
    ilse.button("Records of The Night Index").click();
    ilse.page().getByLabel("Records", new Page.GetByLabelOptions().setExact(true)).waitFor();
    sound(ilse);
    ilse.page().navigate(lantern.address() + group + "/catalogue/requests");
    ilse.exactly("Change").first().click();
    ilse.page().locator("dialog[open]").waitFor();
    sound(ilse);
    ilse.page().keyboard().press("Escape");
    gone(ilse);
    sound(ilse);
    ilse.page().navigate(lantern.address() + group + "/catalogue/house");
    ilse.button("Check everything now").click();
    ilse.page()
        .getByText("what alerts remember: as it should be")
        .waitFor(new Locator.WaitForOptions().setTimeout(60_000));
    sound(ilse);
    ilse.page().navigate(lantern.address() + "/enter#nobody-was-given-this");
    ilse.page().getByRole(AriaRole.ALERT).waitFor();
    sound(ilse);
    ilse.page().navigate(lantern.address() + group + "/catalogue/journals");
    ilse.button("Bring in journals").click();
    ilse.page().locator("dialog[open]").waitFor();
    sound(ilse);
    ilse.page().keyboard().press("Escape");
    gone(ilse);
    ilse.page().getByLabel("Journals found").getByRole(AriaRole.LINK).first().click();
    ilse.page().getByRole(AriaRole.HEADING).nth(1).waitFor();
    sound(ilse);
  }

  /**
   * The group with somebody asked in, the way out, what was done, and a link that leads nowhere.
   */
  private static void group(Person ilse, Lantern lantern) {
    ilse.go("Today").link("Answer: Is this measured as we would do it?").click();
    ilse.text("What was said").waitFor();
    sound(ilse);
    ilse.link("Tern Hollow night ecology").click();
    ilse.page().getByLabel("E-mail address").fill("nora@elsewhere.example");
    ilse.exactly("Ask in").click();
    ilse.text("the letter is sent").waitFor();
    sound(ilse);
    ilse.button("Leave the group").click();
    ilse.page().locator("dialog[open]").waitFor();
    sound(ilse);
    ilse.page().keyboard().press("Escape");
    gone(ilse);
    // What was told at the foot may lie over the last lines of a page.
    ilse.exactly("Close").click();
    ilse.go("Today").link("All that was done").click();
    ilse.exactly("Earlier ones").waitFor();
    sound(ilse);
    String path = ilse.path();
    ilse.page()
        .navigate(
            lantern.address()
                + "/join#"
                + lantern.letters().replaceFirst("(?s).*/join#([\\w-]+).*", "$1"));
    ilse.button("Sign out, and go on").waitFor();
    sound(ilse);
    ilse.page().navigate(lantern.address() + path);
  }

  /** What is written below an entry, and everything that opens on the page of a bibliography. */
  private static void bibliography(Person ilse) {
    ilse.go("Folders").link("Bats at lit crossings").first().click();
    ilse.link("Bibliography").click();
    ilse.page().locator("[aria-posinset='1']").click();
    ilse.page().keyboard().press("a");
    ilse.page().getByText("A line is a paragraph").waitFor();
    ilse.button("It quotes another work…").click();
    sound(ilse);
    ilse.button("Headings").click();
    ilse.page().locator("dialog[open]").waitFor();
    ilse.page().keyboard().type("By night");
    sound(ilse);
    ilse.exactly("Set the headings").click();
    gone(ilse);
    ilse.page().getByLabel("Heading").first().waitFor();
    sound(ilse);
    ilse.page().keyboard().press("0");
    ilse.link("What changed").click();
    ilse.text("came in").first().waitFor();
    sound(ilse);
  }

  /** A folder by hand with something ticked, on its way elsewhere, and remarked upon. */
  private static void folder(Person ilse) {
    ilse.go("Folders").link("Verge lighting").first().click();
    ilse.page().getByLabel("Order").selectOption("hand");
    ilse.exactly("To the top").waitFor();
    ilse.page().keyboard().press("x");
    ilse.text("1 publication ticked").waitFor();
    ilse.page().getByLabel("Say something to the group").click();
    ilse.page().keyboard().type("@");
    ilse.page().getByLabel("Members").waitFor();
    sound(ilse);
    ilse.page().getByLabel("Say something to the group").fill("");
    ilse.exactly("Move or copy").first().click();
    ilse.page().locator("dialog[open]").waitFor();
    sound(ilse);
    ilse.page().keyboard().press("Escape");
    gone(ilse);
    ilse.exactly("Untick").click();
    ilse.exactly("Export").click();
    ilse.text("How it begins").waitFor();
    sound(ilse);
    ilse.page().getByLabel("Table to compare").check();
    ilse.page().getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Columns")).waitFor();
    sound(ilse);
    ilse.page().keyboard().press("Escape");
    gone(ilse);
    ilse.exactly("Mail…").click();
    ilse.text("What you say to it").waitFor();
    sound(ilse);
    ilse.page().keyboard().type("nobody@elsewhere.example");
    ilse.exactly("Send").click();
    ilse.text("1 letter on the way.").waitFor();
    ilse.exactly("Close").click();
    String here = ilse.page().url();
    ilse.page().navigate(here.replaceAll("/f/.*", "/sent"));
    ilse.text("nobody@elsewhere.example").waitFor();
    sound(ilse);
    ilse.page().navigate(here);
    ilse.link("Who sees it").click();
    ilse.page()
        .getByLabel("for those named only", new Page.GetByLabelOptions().setExact(false))
        .check();
    ilse.button("Make a link").click();
    ilse.button("Revoke the link").waitFor();
    sound(ilse);
    ilse.button("Revoke the link").click();
    ilse.link("Back to the folder").click();
    ilse.page().getByLabel("Order").waitFor();
    ilse.page().keyboard().type("xjx");
    ilse.exactly("Take out").first().click();
    ilse.text("2 publications taken out").waitFor();
    ilse.exactly("Close").click();
    ilse.go("Folders").link("Bin").click();
    ilse.exactly("One by one").first().click();
    ilse.exactly("Bring them back").first().waitFor();
    sound(ilse);
    ilse.exactly("Bring them back").first().click();
    ilse.text("2 publications back in").waitFor();
    ilse.exactly("Close").click();
  }

  /** A text as a page of the web and as a file, with places found and a note being written. */
  private static void reading(Person ilse, Lantern lantern) {
    Locator text = ilse.openPage("moth*");
    ilse.page().keyboard().press("f");
    ilse.page().keyboard().type("moth*");
    ilse.page().getByLabel("Places in the text").waitFor();
    text.getByRole(AriaRole.HEADING).first().click(new Locator.ClickOptions().setClickCount(3));
    ilse.exactly("Note").click();
    ilse.page().keyboard().type("ask");
    sound(ilse);
    ilse.page().keyboard().press("Control+Enter");
    ilse.page().getByLabel("Margin notes").getByText("ask").waitFor();
    ilse.button("as file").click();
    ilse.page().locator(".text-layer span").first().waitFor();
    sound(ilse);
    ilse.page().navigate(lantern.address() + ilse.path().replaceAll("/p/.*", "/notes"));
    ilse.page().getByText("3 notes").waitFor();
    sound(ilse);
  }

  /** Follows all links; one view of each sort is looked at: {@code /g/ID/f/ID} is a sort. */
  private static Set<String> everySort(Person person, Lantern lantern) {
    Set<String> seen = new LinkedHashSet<>();
    Deque<String> open = new ArrayDeque<>(List.of(person.path()));
    while (!open.isEmpty()) {
      String address = open.remove();
      if (!seen.add(address.replaceAll("[0-9a-z]{10}", "ID").replaceAll("\\?.*", ""))) {
        continue;
      }
      person.page().navigate(lantern.address() + address);
      settle(person);
      for (Object link : (List<?>) person.page().evaluate(LINKS)) {
        open.add((String) link);
      }
      sound(person);
    }
    return seen;
  }

  private static void settle(Person person) {
    person.page().waitForLoadState(com.microsoft.playwright.options.LoadState.NETWORKIDLE);
  }

  /** Looks at what is shown with axe, at 390 px too; at 200 % zoom nothing is beside the page. */
  static void sound(Person person) {
    settle(person);
    accessible(person);
    fits(person, 640, 400);
    fits(person, 390, 844);
    // The narrow layout is the same by night, and the colours were looked at already.
    found(person, axe(person).withTags(STANDARD));
    person.page().setViewportSize(1280, 800);
  }

  private static void fits(Person person, int width, int height) {
    person.page().setViewportSize(width, height);
    assertThat((Integer) person.page().evaluate("document.documentElement.scrollWidth"))
        .as(person.path() + " at " + width)
        .isLessThanOrEqualTo(width);
  }

  /** By day by every rule, by night by those of colours: nothing else differs then. */
  private static void accessible(Person person) {
    found(person, axe(person).withTags(STANDARD));
    in(person, ColorScheme.DARK, "nightfall");
    found(person, axe(person).withRules(OF_COLOURS));
    in(person, ColorScheme.LIGHT, "daybreak");
  }

  private static void in(Person person, ColorScheme scheme, String theme) {
    person.page().emulateMedia(new Page.EmulateMediaOptions().setColorScheme(scheme));
    PlaywrightAssertions.assertThat(person.page().locator("html"))
        .hasAttribute("data-theme", theme);
  }

  /**
   * There are no frames: all of it runs in the page itself. What passes is not described, element
   * by element; that took longer than to look at it.
   */
  private static AxeBuilder axe(Person person) {
    AxeRunOptions options = new AxeRunOptions();
    options.setResultTypes(List.of("violations"));
    return new AxeBuilder(person.page()).options(options).setLegacyMode(true);
  }

  private static void found(Person person, AxeBuilder looked) {
    List<Rule> violations = looked.analyze().getViolations();
    assertThat(violations.stream().map(Views::told)).as(person.path()).isEmpty();
  }

  private static String told(Rule rule) {
    return rule.getId() + ": " + rule.getNodes().stream().map(n -> n.getHtml()).toList();
  }

  private static void dialogs(Person ilse) {
    ilse.newSheet().search("moth* or dimming");
    ilse.page().keyboard().press("ArrowDown");
    for (String key : List.of("n", "g", "?")) {
      ilse.page().keyboard().press(key);
      ilse.page().locator("dialog[open]").waitFor();
      accessible(ilse);
      ilse.page().keyboard().press("Escape");
      gone(ilse);
    }
    for (String act : List.of("Save search", "CQL", "By source", "Hold a strategy", "Passage")) {
      ilse.button(act).first().click();
      ilse.page().locator("dialog[open]").waitFor();
      settle(ilse);
      accessible(ilse);
      ilse.page().keyboard().press("Escape");
      gone(ilse);
    }
    citing(ilse);
    strips(ilse);
    ilse.button("Ilse Brandvold").click();
    accessible(ilse);
    keysCanBeSwitchedOff(ilse.page());
  }

  /** Works in a style of one's choice, with the list of styles open. */
  private static void citing(Person ilse) {
    ilse.page().keyboard().press("x");
    ilse.exactly("Cite").click();
    ilse.exactly("Pages, and words around it").click();
    settle(ilse);
    accessible(ilse);
    ilse.page()
        .getByRole(AriaRole.DIALOG)
        .getByRole(AriaRole.COMBOBOX, new Locator.GetByRoleOptions().setName("Citation style"))
        .click();
    ilse.page().keyboard().type("eco");
    settle(ilse);
    accessible(ilse);
    ilse.page().keyboard().press("Escape");
    ilse.page().keyboard().press("Escape");
    gone(ilse);
    ilse.exactly("Untick").click();
  }

  private static void gone(Person ilse) {
    ilse.page()
        .locator("dialog")
        .waitFor(
            new com.microsoft.playwright.Locator.WaitForOptions()
                .setState(com.microsoft.playwright.options.WaitForSelectorState.DETACHED));
  }

  /** The bars of times and of values, the details of a line, and a search that finds nothing. */
  private static void strips(Person ilse) {
    ilse.line(1).click();
    ilse.button("Details").click();
    ilse.button("Breakdown").click();
    for (String property : List.of("Years", "Kind", "Organisms", "Author keywords")) {
      ilse.page()
          .getByLabel("Divide by")
          .selectOption(new com.microsoft.playwright.options.SelectOption().setLabel(property));
      ilse.page()
          .getByLabel("Breakdown")
          .getByRole(com.microsoft.playwright.options.AriaRole.LISTITEM)
          .first()
          .waitFor();
      settle(ilse);
      accessible(ilse);
      ilse.page().setViewportSize(390, 844);
      assertThat((Integer) ilse.page().evaluate("document.documentElement.scrollWidth"))
          .as("bars of " + property + " at 390")
          .isLessThanOrEqualTo(390);
      assertThat(
              (Integer)
                  ilse.page()
                      .evaluate("document.querySelector('[aria-label=Breakdown]').scrollWidth"))
          .isLessThanOrEqualTo(390);
      ilse.page().setViewportSize(1280, 800);
    }
    ilse.line(2).fill("xylophonne");
    ilse.page().getByLabel("What would help").waitFor();
    accessible(ilse);
  }

  private static void keysCanBeSwitchedOff(Page page) {
    page.getByText("Switch single keys off").click();
    page.keyboard().press("g");
    assertThat(page.locator("dialog[open]").count()).isZero();
    page.getByText("Switch single keys on").click();
    page.keyboard().press("g");
    page.locator("dialog[open]").waitFor();
  }
}
