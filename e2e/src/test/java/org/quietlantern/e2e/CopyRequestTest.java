package org.quietlantern.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;

/** From a line to its text: read at once, or asked for by one, wanted by another, and delivered. */
class CopyRequestTest {
  private static final LocatorAssertions.ContainsTextOptions SOON =
      new LocatorAssertions.ContainsTextOptions().setTimeout(60_000);
  private static Lantern lantern;
  private static Chromium chromium;

  @BeforeAll
  static void open() {
    lantern = Lantern.prepared();
    chromium = new Chromium();
  }

  @AfterAll
  static void close() {
    chromium.close();
    lantern.close();
  }

  private static Person person(String given) {
    return new Person(chromium.browser(), lantern).signIn(given);
  }

  private static Locator ways(Person person) {
    return person
        .page()
        .getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Ways to the text"));
  }

  private static Locator act(Locator in, String name) {
    return in.getByRole(
        AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(name).setExact(true));
  }

  /** The first line of the list of which the word of access is so. */
  private static Locator word(Person person, String word) {
    return person
        .page()
        .getByRole(
            AriaRole.LINK, new Page.GetByRoleOptions().setName(Pattern.compile("^" + word + ": ")))
        .first();
  }

  @DisplayName("The word of access opens the text in one act, and the list stays where it was")
  @Test
  void readAtOnce() {
    try (Person ilse = person("ilse")) {
      ilse.search("moth*");
      Locator open = word(ilse, "open to all");
      String address = open.getAttribute("href");
      Page text = ilse.page().waitForPopup(open::click);
      assertThat(open).hasAttribute("rel", "noreferrer");
      assertThat(answer(address)).isEqualTo(200);
      text.close();
      assertThat(ilse.line(1)).hasValue("moth*");
      assertThat(open).isVisible();
    }
  }

  @DisplayName("T2: asked by one, joined by another, delivered after four days, found on the list")
  @Test
  void askedFor() {
    try (Person maren = person("maren");
        Person teodor = person("teodor")) {
      maren.search("light");
      String page = group(maren) + "/p/" + delivered(maren);
      maren.page().navigate(lantern.address() + page + "#ways");
      assertThat(ways(maren)).isInViewport();
      act(ways(maren), "ask for a copy").click();
      Locator dialog = maren.page().getByRole(AriaRole.DIALOG);
      assertThat(dialog).containsText("Fjordside lending library");
      dialog.getByRole(AriaRole.TEXTBOX).pressSequentially("chapter 2 would do");
      act(dialog, "Ask").dblclick();
      assertThat(ways(maren)).containsText("waiting 0 days");

      teodor.page().navigate(lantern.address() + page);
      act(ways(teodor), "ask for a copy").click();
      act(teodor.page().getByRole(AriaRole.DIALOG), "Ask").click();
      assertThat(ways(teodor)).containsText("Teodor");
      assertThat(ways(teodor).getByLabel("Copy requests").getByRole(AriaRole.LISTITEM)).hasCount(1);
      assertThat(ways(teodor)).containsText("sent", SOON);

      maren.button("a week later").click();
      assertThat(maren.text("It is 1 Dec.")).isVisible();
      maren.go("Catalogue").link("Copy requests").click();
      maren.link("mine").click();
      Locator list = maren.page().getByRole(AriaRole.MAIN);
      assertThat(list).containsText("delivered", SOON);
      assertThat(list).containsText("there until");
      Page copy = maren.page().waitForPopup(() -> maren.link("Open the copy").click());
      assertThat(copy.url()).contains("/lending/copies/");
    }
  }

  private static String group(Person person) {
    return person.path().replaceFirst("(/g/[^/]+).*", "$1");
  }

  /** Of those found that are lent, one that the library delivers: it goes by their DOIs. */
  private static String delivered(Person person) {
    List<String> lent =
        person
            .page()
            .getByRole(
                AriaRole.LINK,
                new Page.GetByRoleOptions().setName(Pattern.compile("^by request: ")))
            .all()
            .stream()
            .map(link -> link.getAttribute("href").replaceAll(".*/p/|#.*", ""))
            .toList();
    String one =
        lantern.query(
            "select pid from publication where fields->>'doi' ~ '[0-24-68-9]$' and pid in ('%s')"
                    .formatted(String.join("','", lent))
                + " order by id limit 1");
    assertThat(one).isNotEmpty();
    return one;
  }

  /** Of the place where texts are; that of a copied demo may answer at another port. */
  private static int answer(String address) {
    try {
      String port = Files.readString(lantern.data().resolve("texts.port")).strip();
      URI here = URI.create(address.replaceFirst(":\\d+/", ":" + port + "/"));
      return HttpClient.newHttpClient()
          .send(HttpRequest.newBuilder(here).build(), HttpResponse.BodyHandlers.discarding())
          .statusCode();
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    } catch (InterruptedException stopped) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(stopped);
    }
  }
}
