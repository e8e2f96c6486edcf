package org.quietlantern.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.rometools.rome.feed.synd.SyndFeed;
import com.rometools.rome.io.FeedException;
import com.rometools.rome.io.SyndFeedInput;
import java.io.IOException;
import java.io.StringReader;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;

/** What two members do with the first version, from signing in to a stable link: one story. */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class StoryTest {
  private static final String LINE = "moth* or bat* or spider*";
  private static Lantern lantern;
  private static Chromium chromium;
  private static Person ilse;
  private static Person teodor;

  @BeforeAll
  static void open() {
    lantern = Lantern.prepared();
    chromium = new Chromium();
    ilse = new Person(chromium.browser(), lantern);
    teodor = new Person(chromium.browser(), lantern);
  }

  @AfterAll
  static void close() {
    chromium.close();
    lantern.close();
  }

  private static Locator count() {
    return ilse.page()
        .getByLabel("Result", new Page.GetByLabelOptions().setExact(true))
        .getByRole(AriaRole.STATUS);
  }

  private static Locator notice() {
    return ilse.page().getByRole(AriaRole.STATUS).last();
  }

  @Test
  @Order(1)
  void theySignInAndSeeWhereAndWhoTheyAre() {
    ilse.page().navigate(lantern.address());
    ilse.page().getByLabel("E-mail").fill("ilse@ternhollow.example");
    ilse.page().getByLabel("Password").fill("wrong");
    ilse.page().keyboard().press("Enter");
    assertThat(ilse.page().getByRole(AriaRole.ALERT)).containsText("do not go together");
    ilse.signIn("ilse");
    teodor.signIn("teodor");
    assertThat(ilse.text("Tern Hollow night ecology")).isVisible();
    assertThat(ilse.button("Ilse Brandvold")).isVisible();
    assertThat(teodor.button("Teodor Vance")).isVisible();
  }

  @Test
  @Order(2)
  void aMistakeSaysWhereItIsAndKeepsTheOldList() {
    ilse.search("moth* \"light traps\"");
    assertThat(count()).containsText(Pattern.compile("^[\\d,]+ publications?$"));
    Locator first = ilse.page().getByLabel("Publications found").getByRole(AriaRole.LINK).first();
    assertThat(first).isFocused();
    String title = first.textContent();
    ilse.searchLine().fill("moth or lamp \"dim");
    assertThat(ilse.page().getByRole(AriaRole.ALERT))
        .containsText("column 14: this quotation mark is never closed");
    assertThat(first).hasText(title);
    ilse.search(LINE);
    assertThat(ilse.page().getByLabel("Leaf").getByRole(AriaRole.HEADING).first()).isVisible();
    assertThat(ilse.page().getByLabel("Leaf").locator("mark").first()).isVisible();
  }

  @Test
  @Order(3)
  void anAddressSurvivesReloadBackAndASecondWindow() {
    ilse.page().keyboard().press("ArrowDown");
    ilse.page().keyboard().press("ArrowDown");
    Locator third =
        ilse.page().getByLabel("Publications found").getByRole(AriaRole.LISTITEM).nth(2);
    assertThat(third).hasAttribute("aria-current", "true");
    String chosen = third.getByRole(AriaRole.LINK).first().textContent();
    assertThat(ilse.page().getByLabel("Leaf").getByRole(AriaRole.HEADING).first()).hasText(chosen);
    ilse.page().reload();
    assertThat(ilse.searchLine()).hasValue(LINE);
    assertThat(ilse.page().getByLabel("Leaf").getByRole(AriaRole.HEADING).first()).hasText(chosen);
    String address = ilse.page().url();
    ilse.go("Folders").page().goBack();
    assertThat(ilse.searchLine()).hasValue(LINE);
    teodor.page().navigate(address);
    assertThat(teodor.searchLine()).hasValue(LINE);
  }

  @Test
  @Order(4)
  void aKeepIsSharedOnceAndCanBeUndone() {
    Page page = ilse.page();
    page.navigate(page.url());
    page.getByLabel("Leaf").getByRole(AriaRole.HEADING).first().waitFor();
    page.keyboard().press("1");
    page.getByRole(AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName("Folder"))
        .selectOption("Verge lighting");
    page.getByLabel("Why (the group will see it)").fill("for the lighting review");
    page.keyboard().press("Enter");
    assertThat(notice()).containsText("Kept in Verge lighting.");
    teodor.go("Folders").link("Verge lighting").click();
    Locator kept = teodor.page().getByLabel("Publications kept");
    assertThat(kept).containsText("Ilse Brandvold");
    assertThat(kept).containsText("“for the lighting review”");
    page.keyboard().press("k");
    page.keyboard().press("1");
    assertThat(notice()).containsText("Already in Verge lighting, kept by Ilse Brandvold.");
    page.keyboard().press("0");
    assertThat(notice()).containsText("Undone.");
    assertThat(kept).containsText("“for the lighting review”");
  }

  @Test
  @Order(5)
  void aSearchIsSavedAndWatchedFromABaseline() {
    ilse.button("Save search").click();
    ilse.page()
        .getByLabel("Name", new Page.GetByLabelOptions().setExact(true))
        .fill("Moths, bats, spiders");
    ilse.page().keyboard().press("Enter");
    assertThat(notice())
        .containsText(Pattern.compile("saved in Verge lighting with [\\d,]+ publications"));
    ilse.go("Folders").link("Verge lighting").click();
    assertThat(ilse.page().getByLabel("Saved searches")).containsText("saved by Ilse Brandvold");
    ilse.page()
        .getByLabel("Saved searches")
        .getByRole(AriaRole.LISTITEM)
        .filter(new Locator.FilterOptions().setHasText("Moths, bats, spiders"))
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Set alert"))
        .click();
    Locator year = ilse.page().getByLabel("What it would have brought");
    assertThat(year.getByRole(AriaRole.LISTITEM)).hasCount(12);
    assertThat(year)
        .containsText(Pattern.compile("publications?, (about \\d+|less than one) a week"));
    ilse.page().getByLabel("Its rounds close").selectOption("daily");
    ilse.page()
        .getByRole(AriaRole.DIALOG)
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Set alert"))
        .press("Enter");
    assertThat(notice()).containsText("will not be announced");
    assertThat(
            lantern.query(
                "select count(*) from finding n join alert a on a.id = n.alert join revision v on v.id = a.revision join saved_search s on s.id = v.saved_search where s.name = 'Moths, bats, spiders'"))
        .isEqualTo("0");
  }

  @Test
  @Order(6)
  void daysPassAndExactlyWhatMatchesArrives() {
    ilse.button("a day later").click();
    assertThat(notice()).containsText("It is 25 Nov.");
    ilse.button("a week later").click();
    assertThat(notice()).containsText("It is 2 Dec.");
    ilse.go("Arrivals");
    Locator rounds =
        ilse.page()
            .getByLabel("Rounds")
            .getByRole(
                AriaRole.LINK,
                new Locator.GetByRoleOptions().setName(Pattern.compile("^Moths, bats, spiders")));
    assertThat(rounds.first()).isVisible();
    String arrived =
        lantern.query(
            "select count(*) from finding n join alert a on a.id = n.alert join revision v on v.id = a.revision join saved_search s on s.id = v.saved_search where s.name = 'Moths, bats, spiders'");
    String came =
        lantern.query(
            "select count(*) from publication where came > (select max(at) from alert) and withdrawn is null and canonical is null and (fields->>'title' ~* '\\m(moth|bat|spider)' or fields->>'abstractText' ~* '\\m(moth|bat|spider)' or fields->>'headings' ~* '\\m(moth|bat|spider)' or fields->>'keywords' ~* '\\m(moth|bat|spider)')");
    assertThat(arrived).isEqualTo(came).isNotEqualTo("0");
  }

  @Test
  @Order(7)
  void eachMemberHasALampOfTheirOwn() {
    Locator round =
        ilse.page()
            .getByLabel("Rounds")
            .getByRole(
                AriaRole.LINK,
                new Locator.GetByRoleOptions().setName(Pattern.compile("^Moths, bats, spiders")))
            .first();
    round.click();
    ilse.page().waitForURL(Pattern.compile(".*/r/.*"));
    Locator firstRow = ilse.page().getByLabel("Arrivals").getByRole(AriaRole.LISTITEM).first();
    assertThat(firstRow).isVisible();
    teodor.page().navigate(ilse.page().url().replaceAll("\\?.*", ""));
    teodor.page().getByText("What the group says").waitFor();
    teodor.page().keyboard().press("2");
    assertThat(teodor.page().getByRole(AriaRole.STATUS).last()).containsText("Passed.");
    assertThat(firstRow.getByLabel("Teodor Vance: pass")).isVisible();
    assertThat(firstRow.getByLabel("Ilse Brandvold: not yet")).isVisible();
    ilse.page().reload();
    ilse.page().getByText("What the group says").waitFor();
    String title = firstRow.getByRole(AriaRole.LINK).first().textContent();
    ilse.page().keyboard().press("1");
    assertThat(notice()).containsText("Kept in Verge lighting.");
    assertThat(firstRow.getByLabel("Ilse Brandvold: keep")).isVisible();
    ilse.go("Folders").link("Verge lighting").click();
    assertThat(ilse.page().getByLabel("Publications kept")).containsText(title);
  }

  @Test
  @Order(8)
  void theFeedIsReadElsewhereUntilItsAddressIsRevoked()
      throws IOException, InterruptedException, FeedException {
    ilse.go("Alerts").link("Moths, bats, spiders").click();
    ilse.button("Make my address").click();
    String address = ilse.page().getByLabel(Pattern.compile("^Address of ")).inputValue();
    HttpResponse<String> answer = get(address, "");
    SyndFeed feed = new SyndFeedInput().build(new StringReader(answer.body()));
    assertThat(feed.getEntries()).isNotEmpty();
    String tag = answer.headers().firstValue("ETag").orElseThrow();
    assertThat(get(address, tag).statusCode()).isEqualTo(304);
    ilse.button("Revoke").click();
    assertThat(ilse.button("Make my address")).isVisible();
    assertThat(get(address, "").statusCode()).isEqualTo(410);
  }

  private static HttpResponse<String> get(String address, String tag)
      throws IOException, InterruptedException {
    HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(address));
    if (!tag.isEmpty()) {
      request.header("If-None-Match", tag);
    }
    return HttpClient.newHttpClient().send(request.build(), HttpResponse.BodyHandlers.ofString());
  }

  @Test
  @Order(9)
  void theFolderIsExportedAndItsLinksOpenForAnyone() throws IOException {
    ilse.go("Folders").link("Verge lighting").click();
    Locator kept = ilse.page().getByLabel("Publications kept").locator("> li");
    assertThat(kept.first()).isVisible();
    ilse.exactly("Export").click();
    Locator save = ilse.page().getByText("Save the file");
    ilse.page().getByText(Pattern.compile("^\\d+ publications, in the order")).waitFor();
    Download file = ilse.page().waitForDownload(save::click);
    ilse.page().keyboard().press("Escape");
    assertThat(file.suggestedFilename()).isEqualTo("Verge-lighting.ris");
    String ris = Files.readString(file.path());
    // Rows that are not in sight are not there; each knows of how many it is one.
    int all = Integer.parseInt(kept.first().getAttribute("aria-setsize"));
    assertThat(ris.lines().filter(line -> line.startsWith("TY  - "))).hasSize(all);
    String link =
        ris.lines()
            .filter(l -> l.startsWith("UR  - "))
            .findFirst()
            .orElseThrow()
            .substring(6)
            .strip();
    try (Person anybody = new Person(chromium.browser(), lantern)) {
      anybody.page().navigate(link);
      assertThat(anybody.text("doi:10.5555/")).isVisible();
      assertThat(anybody.text("Anyone can open it.")).isVisible();
      anybody.link("Open in my group").click();
      anybody.page().getByLabel("E-mail").fill("ilse@ternhollow.example");
      anybody.page().getByLabel("Password").fill(Lantern.PASSWORD);
      anybody.page().keyboard().press("Enter");
      anybody.page().waitForURL(Pattern.compile(".*/g/[^/]+/p/[^/]+$"));
      assertThat(anybody.text("Citation in APA")).isVisible();
    }
  }

  @Test
  @Order(10)
  void aGuestReadsAndIsOfferedNothingToWrite() {
    try (Person jon = new Person(chromium.browser(), lantern)) {
      jon.signIn("jon").search("moth*");
      jon.page().getByText("Why it is here").waitFor();
      assertThat(jon.button("Save search")).hasCount(0);
      assertThat(jon.exactly("Pass")).hasCount(0);
      jon.go("Arrivals").text("You read along as a guest").waitFor();
      jon.page().keyboard().press("2");
      assertThat(
              lantern.query(
                  "select count(*) from review_event e join membership m on m.id = e.membership where m.name like 'Jon%'"))
          .isEqualTo("0");
    }
  }
}
