package org.quietlantern.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** From a line to a copy of its text: asked for by one, wanted by another, and delivered. */
class CopyRequestTest {
  private static final LocatorAssertions.ContainsTextOptions SOON =
      new LocatorAssertions.ContainsTextOptions().setTimeout(60_000);
  @RegisterExtension private static final Browsing BROWSING = new Browsing();

  private static Locator ways(Person person) {
    return person
        .page()
        .getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Ways to the text"));
  }

  private static Locator act(Locator in, String name) {
    return in.getByRole(
        AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(name).setExact(true));
  }

  @DisplayName("T2: asked by one, joined by another, delivered after four days, found on the list")
  @Test
  void askedFor() {
    try (Person maren = BROWSING.person("maren");
        Person teodor = BROWSING.person("teodor")) {
      maren.search("light");
      String page = group(maren) + "/p/" + delivered(maren);
      maren.page().navigate(BROWSING.lantern().address() + page + "#ways");
      assertThat(ways(maren)).isInViewport();
      act(ways(maren), "ask for a copy").click();
      Locator dialog = maren.page().getByRole(AriaRole.DIALOG);
      assertThat(dialog).containsText("Fjordside lending library");
      dialog.getByRole(AriaRole.TEXTBOX).pressSequentially("chapter 2 would do");
      Person.twice(act(dialog, "Ask"));
      assertThat(ways(maren)).containsText("waiting 0 days");

      teodor.page().navigate(BROWSING.lantern().address() + page);
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
      assertThat(list).containsText("at the library until", SOON);
      assertThat(list).containsText("for your group's own study");
      Page copy = maren.page().waitForPopup(() -> maren.link("Open the copy").click());
      assertThat(copy.url()).contains("/lending/copies/");
      maren.link("read here").click();
      assertThat(maren.page().getByLabel("Text", new Page.GetByLabelOptions().setExact(true)))
          .containsText("Introduction");
    }
  }

  @DisplayName(
      "Links: out to the group's own library, in from others, and a copy of what is not here")
  @Test
  void links() {
    try (Person ilse = BROWSING.person("ilse");
        Person teodor = BROWSING.person("teodor")) {
      ilse.search("light");
      String page = lent(ilse).first().getAttribute("href").replaceAll("#.*", "");
      ilse.page().navigate(BROWSING.lantern().address() + group(ilse) + "/catalogue/holdings");
      act(ilse.page().getByRole(AriaRole.MAIN), "Change where links lead").click();
      Locator dialog = ilse.page().getByRole(AriaRole.DIALOG);
      dialog.getByLabel("Name of the library").pressSequentially("Fjordside town library");
      dialog.getByLabel("Address of its link").pressSequentially("links.example");
      act(dialog, "Note it").click();
      assertThat(dialog).containsText("This is no address");
      dialog.getByLabel("Address of its link").fill("https://links.example/find");
      Person.twice(act(dialog, "Note it"));
      teodor.page().navigate(BROWSING.lantern().address() + page);
      Locator library =
          ways(teodor)
              .getByRole(AriaRole.LINK, new Locator.GetByRoleOptions().setName("at your library"));
      assertThat(library)
          .hasAttribute("href", Pattern.compile("^https://links.example/find[?]url_ver="));

      String theirs = "/openurl?rft.atitle=Lamps+of+nowhere&rft.aulast=Sey&rft.date=2024";
      teodor.page().navigate(BROWSING.lantern().address() + theirs);
      assertThat(teodor.page().getByRole(AriaRole.MAIN))
          .containsText("Sey (2024). Lamps of nowhere.");
      teodor.page().getByLabel("What the library should know").pressSequentially("all of it");
      Person.twice(act(teodor.page().getByRole(AriaRole.MAIN), "Ask for a copy"));
      Locator asked = teodor.page().getByLabel("Copy requests");
      assertThat(asked.getByRole(AriaRole.LISTITEM)).hasCount(1);
      assertThat(asked).containsText("waiting 0 days");
      ilse.page().navigate(BROWSING.lantern().address() + theirs);
      assertThat(ilse.page().getByLabel("Copy requests")).containsText("Teodor");

      String doi =
          BROWSING
              .lantern()
              .query(
                  "select fields->>'doi' from publication where pid = '%s'"
                      .formatted(page.replaceAll(".*/p/", "")));
      teodor.page().navigate(BROWSING.lantern().address() + "/openurl?rft_id=info:doi/" + doi);
      assertThat(ways(teodor)).isVisible();
      assertThat(teodor.path()).isEqualTo(page);
    }
  }

  private static String group(Person person) {
    return person.path().replaceFirst("(/g/[^/]+).*", "$1");
  }

  /** What was found and is lent. */
  private static Locator lent(Person person) {
    return person
        .page()
        .getByRole(
            AriaRole.LINK, new Page.GetByRoleOptions().setName(Pattern.compile("^by request: ")));
  }

  /** Of those found that are lent, one that the library delivers: it goes by their DOIs. */
  private static String delivered(Person person) {
    List<String> lent =
        lent(person).all().stream()
            .map(link -> link.getAttribute("href").replaceAll(".*/p/|#.*", ""))
            .toList();
    String one =
        BROWSING
            .lantern()
            .query(
                "select pid from publication where fields->>'doi' ~ '[0-24-68]$'"
                    + " and fields->>'kind' = 'ARTICLE' and fields->>'abstractText' <> ''"
                    + " and pid in ('%s') order by id limit 1".formatted(String.join("','", lent)));
    assertThat(one).isNotEmpty();
    return one;
  }
}
