package org.quietlantern.e2e;

import com.microsoft.playwright.APIRequestContext;
import com.microsoft.playwright.APIResponse;
import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Mouse;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import com.microsoft.playwright.options.RequestOptions;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** A person at a browser of their own. */
final class Person implements AutoCloseable {
  private static final Pattern FIRST_GROUP =
      Pattern.compile("\"groups\":\\[\\{\"id\":\"([^\"]+)\"");
  private final Lantern lantern;
  private final BrowserContext context;
  private final Page page;

  Person(Browser browser, Lantern lantern, int width, int height, ColorScheme scheme) {
    this.lantern = lantern;
    this.context =
        browser.newContext(
            new Browser.NewContextOptions()
                .setViewportSize(width, height)
                .setColorScheme(scheme)
                .setReducedMotion(com.microsoft.playwright.options.ReducedMotion.REDUCE));
    this.page = context.newPage();
    page.setDefaultTimeout(60_000);
  }

  Person(Browser browser, Lantern lantern) {
    this(browser, lantern, 1280, 800, ColorScheme.LIGHT);
  }

  Page page() {
    return page;
  }

  /**
   * Clicks twice at one place, as fast as a hand does: the page may have answered in between, and
   * show something else there.
   */
  static void twice(Locator there) {
    Page page = there.page();
    there.click();
    page.waitForTimeout(120);
    page.mouse().down(new Mouse.DownOptions().setClickCount(2));
    page.mouse().up(new Mouse.UpOptions().setClickCount(2));
  }

  /** Comes in as a demo member without the form, which has tests of its own: at an empty sheet. */
  Person enter(String given) {
    String email = given + "@ternhollow.example";
    APIRequestContext api = context.request();
    api.get(lantern.address() + "/api/me");
    String token =
        context.cookies().stream()
            .filter(cookie -> cookie.name.equals("XSRF-TOKEN"))
            .map(cookie -> cookie.value)
            .findFirst()
            .orElseThrow();
    APIResponse me =
        api.post(
            lantern.address() + "/api/session",
            RequestOptions.create()
                .setHeader("X-XSRF-TOKEN", token)
                .setData(Map.of("email", email, "password", Lantern.PASSWORD)));
    Matcher group = FIRST_GROUP.matcher(me.text());
    if (!group.find()) {
      throw new IllegalStateException(email + " cannot come in: " + me.status() + " " + me.text());
    }
    page.navigate(lantern.address() + "/g/" + group.group(1) + "/search");
    searchLine().waitFor();
    return this;
  }

  /** Signs in as a demo member, by given name. */
  Person signIn(String given) {
    page.navigate(lantern.address());
    page.getByLabel("E-mail").fill(given + "@ternhollow.example");
    page.getByLabel("Password").fill(Lantern.PASSWORD);
    page.keyboard().press("Enter");
    page.waitForURL(Pattern.compile(".*/g/[^/]+/today"));
    go("Search");
    searchLine().waitFor();
    return this;
  }

  Locator searchLine() {
    return line(1);
  }

  /** A line of the sheet, from 1. */
  Locator line(int number) {
    return page.getByLabel("Line " + number, new Page.GetByLabelOptions().setExact(true));
  }

  /** A part of the page, by its exact name. */
  Locator region(String name) {
    return page.getByRole(
        AriaRole.REGION, new Page.GetByRoleOptions().setName(name).setExact(true));
  }

  /** Goes to a place of the frame. */
  Person go(String place) {
    page.getByRole(AriaRole.NAVIGATION)
        .first()
        .getByRole(AriaRole.LINK, new Locator.GetByRoleOptions().setName(place))
        .click();
    return this;
  }

  /** Begins a sheet of its own, from wherever it is. */
  Person newSheet() {
    go("Search");
    link("New sheet").click();
    page.waitForURL(Pattern.compile(".*/search$"));
    PlaywrightAssertions.assertThat(line(1)).hasValue("");
    return this;
  }

  /** Types a line and settles it. */
  Person search(String line) {
    searchLine().fill(line);
    searchLine().press("Enter");
    page.waitForURL(Pattern.compile(".*/q/.*"));
    page.getByLabel("Publications found").waitFor();
    return this;
  }

  Locator button(String name) {
    return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name));
  }

  /** The button that is called so and not longer. */
  Locator exactly(String name) {
    return page.getByRole(
        AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
  }

  Locator link(String name) {
    return page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(name));
  }

  /** Opens a text that a line finds: one that is there, as a page, and that nobody opened yet. */
  Locator openPage(String line) {
    newSheet().search(line);
    Locator ways =
        page.getByRole(
            AriaRole.LINK,
            new Page.GetByRoleOptions().setName(Pattern.compile("^open to all: open copy")));
    ways.first().waitFor();
    PlaywrightAssertions.assertThat(
            page.getByLabel("Result", new Page.GetByLabelOptions().setExact(true))
                .getByRole(AriaRole.STATUS)
                .first())
        .hasText(Pattern.compile("^[\\d,]+ publications?$"));
    // The list of a search before may still be there: what is gone by now is looked for again.
    Locator way = page.locator("a[href$='/p/" + onePage(ways) + "/text']").first();
    for (int look = 0; way.count() == 0 && look < 10; look++) {
      page.waitForTimeout(300);
      way = page.locator("a[href$='/p/" + onePage(ways) + "/text']").first();
    }
    way.click();
    Locator text =
        page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Text").setExact(true));
    text.getByRole(AriaRole.HEADING).first().waitFor();
    return text;
  }

  /** The first of some works that has an open page, all of one moment. */
  private String onePage(Locator ways) {
    Object links = ways.evaluateAll("links => links.map(link => link.getAttribute('href'))");
    List<String> found =
        ((List<?>) links)
            .stream().map(link -> String.valueOf(link).replaceAll(".*/p/|/text$", "")).toList();
    return lantern.query(
        "select pid from publication p, jsonb_array_elements(p.fields->'copies') c"
            + " where pid in ('%s') and c->>'open' = 'true'".formatted(String.join("','", found))
            + " and c->>'address' like '%/text.html' and fields->>'kind' = 'ARTICLE'"
            + " and fields->>'abstractText' <> ''"
            + " and substring(c->>'address' from '/doc/([0-9]+)/')::int % 61"
            + " not in (7, 13, 19, 29, 37, 43) order by id limit 1");
  }

  Locator text(String text) {
    return page.getByText(text);
  }

  Locator text(Pattern text) {
    return page.getByText(text);
  }

  /** The line of a limit; the trail says the same words in a link. */
  Locator limit(String words) {
    return page.getByRole(AriaRole.BUTTON)
        .filter(new Locator.FilterOptions().setHasText(Pattern.compile("^" + words)));
  }

  /** Path and query of the address bar. */
  String path() {
    return page.url().substring(lantern.address().length());
  }

  @Override
  public void close() {
    context.close();
  }
}
