package org.quietlantern.e2e;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.util.Arrays;
import java.util.Locale;
import java.util.function.DoubleSupplier;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;

/**
 * How long somebody waits in the reading place and before the list of notes: medians of several
 * times, of this machine. Run by {@code ./lantern bench reading}.
 */
@EnabledIfSystemProperty(named = "reading.speed", matches = ".+")
class ReadingSpeed {
  private static final int TIMES = 7;
  private static final int NOTES = 10_000;

  /** What was drawn, and found, between two moments of the page's own clock. */
  private static final String DRAWN =
      """
      async () => {
        const began = performance.now();
        [...document.querySelectorAll('a, button')].find(e => e.textContent === 'as file').click();
        while (!document.querySelector('.text-layer span')) {
          await new Promise(requestAnimationFrame);
        }
        return performance.now() - began;
      }""";

  @Test
  void all() {
    try (Lantern lantern = Lantern.prepared().withTexts();
        Chromium chromium = new Chromium();
        Person ilse = new Person(chromium.browser(), lantern).signIn("ilse")) {
      print("| in the browser | milliseconds |%n|---|---|%n");
      for (int pages : new int[] {20, 200}) {
        read(ilse, lantern, pages);
      }
      notes(ilse, lantern);
    }
  }

  /** A text of about so many pages, and what is found in it. */
  private static void read(Person ilse, Lantern lantern, int pages) {
    String sql =
        """
        select p.pid from publication p, jsonb_array_elements(p.fields->'copies') c
        where c->>'open' = 'true' and c->>'address' like '%%/text.pdf' and canonical is null
          and substring(c->>'address' from '/doc/([0-9]+)/')::int %% 61
            not in (7, 13, 19, 29, 37, 43)
          and fields->>'kind' in ('REVIEW', 'BOOK', 'THESIS', 'ARTICLE')
          and (fields->>'pages')::int >= %d order by (fields->>'pages')::int, id limit 1
        """;
    String one = lantern.query(sql.formatted(pages));
    Page page = ilse.page();
    String path = ilse.path().replaceFirst("(/g/[^/]+).*", "$1") + "/p/" + one + "/text";
    page.navigate(lantern.address() + path);
    page.getByText("as file").waitFor();
    double drawn =
        median(
            () -> {
              page.navigate(lantern.address() + path);
              page.getByText("as file").waitFor();
              page.waitForTimeout(500);
              return milliseconds(page.evaluate(DRAWN));
            });
    print("| first page of %d pages drawn, from the act | %.0f |%n", pages, drawn);
    Locator find = page.getByLabel("Find in the text");
    double found =
        median(
            () -> {
              find.fill("");
              page.getByLabel("Places in the text").waitFor(hidden());
              return milliseconds(
                  page.evaluate(
                      """
                      async () => {
                        const find = document.querySelector('[aria-label="Find in the text"]');
                        const set = Object.getOwnPropertyDescriptor(
                          HTMLInputElement.prototype, 'value').set;
                        const began = performance.now();
                        set.call(find, 'light');
                        find.dispatchEvent(new Event('input', { bubbles: true }));
                        while (!document.querySelector('[aria-label="Places in the text"] li')) {
                          await new Promise(requestAnimationFrame);
                        }
                        return performance.now() - began;
                      }"""));
            });
    print("| find in %d pages, places listed | %.0f |%n", pages, found);
    find.fill("");
  }

  private static Locator.WaitForOptions hidden() {
    return new Locator.WaitForOptions()
        .setState(com.microsoft.playwright.options.WaitForSelectorState.HIDDEN);
  }

  /** The first page of all notes of a group that has many. */
  private static void notes(Person ilse, Lantern lantern) {
    lantern.query(
        """
        insert into margin_note (pid, grp, publication, membership, kind, body, version, label,
          quote, before, after, page, start, shared, done, at, changed)
        select 'speed' || n, m.grp, p.id, m.id, 'note', 'note ' || n, 'final', '1', 'light', '', '',
          0, 0, true, false, now(), now()
        from generate_series(1, %d) n
        cross join lateral (select m.id, m.grp from membership m where m.name like 'Ilse %%'
          order by m.id limit 1) m
        cross join lateral (select id from publication where canonical is null and withdrawn is null
          order by id offset n %% 500 limit 1) p
        """
            .formatted(NOTES));
    Page page = ilse.page();
    String group = ilse.path().replaceFirst("/g/([^/]+).*", "$1");
    double listed =
        median(
            () ->
                milliseconds(
                    page.evaluate(
                        """
                        async group => {
                          const began = performance.now();
                          const answer = await fetch(`/api/groups/${group}/margin-notes`);
                          await answer.json();
                          return performance.now() - began;
                        }""",
                        group)));
    print("| %,d margin notes, first page listed | %.0f |%n", NOTES, listed);
    double sought =
        median(
            () ->
                milliseconds(
                    page.evaluate(
                        """
                        async group => {
                          const began = performance.now();
                          const words = 'note ' + Math.floor(Math.random() * 9000);
                          const answer = await fetch(
                            `/api/groups/${group}/margin-notes?words=${words}`);
                          await answer.json();
                          return performance.now() - began;
                        }""",
                        group)));
    print("| words looked for in them | %.0f |%n", sought);
  }

  /** A script's number comes as whole as it is. */
  private static double milliseconds(Object told) {
    return ((Number) told).doubleValue();
  }

  private static double median(DoubleSupplier once) {
    double[] times = new double[TIMES];
    Arrays.setAll(times, n -> once.getAsDouble());
    Arrays.sort(times);
    return times[TIMES / 2];
  }

  private static void print(String format, Object... values) {
    System.out.printf(Locale.ENGLISH, format, values);
  }
}
