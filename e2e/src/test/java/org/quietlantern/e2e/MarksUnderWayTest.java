package org.quietlantern.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Keyboard;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.IntStream;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Marks between the hand and the server: without a network, with answers that are lost or late. */
class MarksUnderWayTest {
  @RegisterExtension private static final Browsing BROWSING = new Browsing();
  private static final Keyboard.TypeOptions FAST = new Keyboard.TypeOptions().setDelay(100);
  private static final String MARKS = "**/marks";

  private static Locator leftFor(Person who, Page page) {
    String group = who.page().url().replaceAll("^(.*/g/[^/]+)/.*", "$1");
    page.navigate(group + "/arrivals/owed");
    return page.getByLabel("Left for you", new Page.GetByLabelOptions().setExact(true))
        .locator("> li");
  }

  private static int left(Page page) {
    Locator count = page.getByLabel("This list").getByRole(AriaRole.STATUS);
    assertThat(count).containsText("left for you");
    return Integer.parseInt(count.innerText().replaceAll("\\D", ""));
  }

  private static void assertLeft(Page page, int count) {
    assertThat(page.getByLabel("This list").getByRole(AriaRole.STATUS))
        .containsText(count + " left for you");
  }

  private static Locator own(Locator row, String name, String mark) {
    return row.getByRole(AriaRole.IMG, new Locator.GetByRoleOptions().setName(name + ": " + mark));
  }

  @DisplayName("Without a network one goes on, sees what one said, takes back, and loses nothing")
  @Test
  void offline() {
    try (Person maren = BROWSING.person("maren")) {
      Page page = maren.page();
      Locator rows = leftFor(maren, page);
      int left = left(page);
      List<String> titles =
          IntStream.range(0, 5)
              .mapToObj(n -> rows.nth(n).getByRole(AriaRole.LINK).first().innerText())
              .toList();
      page.context().setOffline(true);
      page.keyboard().type("2652", FAST);
      assertThat(page.getByText("4 marks wait until the server can be reached")).isVisible();
      assertThat(own(rows.nth(0), "Maren Oduya", "pass")).isVisible();
      assertThat(own(rows.nth(1), "Maren Oduya", "hold for text")).isVisible();
      assertThat(own(rows.nth(2), "Maren Oduya", "seen")).isVisible();
      assertThat(rows.nth(4)).hasAttribute("aria-current", "true");
      Locator leaf = page.getByLabel("Leaf", new Page.GetByLabelOptions().setExact(true));
      assertThat(leaf.getByRole(AriaRole.HEADING).first()).hasText(titles.get(4));
      Views.sound(maren);
      page.keyboard().press("0");
      assertThat(page.getByText("It had not been sent yet.")).isVisible();
      assertThat(page.getByText("3 marks wait")).isVisible();
      assertThat(own(rows.nth(3), "Maren Oduya", "not yet")).isVisible();
      page.context().setOffline(false);
      assertThat(page.getByText("What waited was sent.")).isVisible();
      assertThat(page.getByText("marks wait")).hasCount(0);
      // What is held is still owed.
      assertLeft(page, left - 2);
      page.reload();
      assertThat(rows.first()).containsText(titles.get(1));
      assertThat(own(rows.first(), "Maren Oduya", "hold for text")).isVisible();
      assertThat(rows.nth(1)).containsText(titles.get(3));
    }
  }

  @DisplayName("A window closed without a network: the next one sends what it left")
  @Test
  void closed() {
    try (Person noor = BROWSING.person("noor")) {
      Page first = noor.page();
      leftFor(noor, first);
      int left = left(first);
      first.context().setOffline(true);
      first.keyboard().type("22", FAST);
      assertThat(first.getByText("2 marks wait")).isVisible();
      Page second = first.context().newPage();
      String address = first.url();
      first.close();
      second.context().setOffline(false);
      second.navigate(address);
      assertLeft(second, left - 2);
      second.reload();
      assertLeft(second, left - 2);
    }
  }

  @DisplayName("An answer that is lost on its way: the mark is sent again, and made once")
  @Test
  void lostAnswer() {
    try (Person sefa = BROWSING.person("sefa")) {
      Page page = sefa.page();
      Locator rows = leftFor(sefa, page);
      int left = left(page);
      AtomicInteger lost = new AtomicInteger();
      page.route(
          MARKS,
          route -> {
            if (lost.getAndIncrement() < 2) {
              route.fetch();
              route.abort();
            } else {
              route.resume();
            }
          });
      page.keyboard().type("55", FAST);
      assertLeft(page, left - 2);
      assertThat(page.getByText("What waited was sent.")).isVisible();
      page.unroute(MARKS);
      page.keyboard().press("0");
      assertLeft(page, left - 1);
      assertThat(rows.nth(1)).not().containsText("no more in this list");
      page.keyboard().press("0");
      assertLeft(page, left);
    }
  }
}
