package org.quietlantern.server.address;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.standins.corpus.Extent;
import org.quietlantern.standins.corpus.Literature;
import org.quietlantern.standins.corpus.Work;
import org.quietlantern.standins.host.TextHost;
import org.springframework.jdbc.core.JdbcTemplate;

/** K4: what places do where a text should be, and what an address is said to be then. */
class AddressesTest {
  @RegisterExtension private static final TestApp APP = new TestApp();
  private static final Literature WHOLE = Literature.of(Literature.SEED, Extent.WHOLE);
  private final Addresses addresses = APP.bean(Addresses.class);
  private final JdbcTemplate database = APP.bean(JdbcTemplate.class);

  private AddressState tried(String url) {
    addresses.want(List.of(url));
    database.update("update address set system_due = now() - interval '1 day' where url = ?", url);
    APP.bean(AddressJob.class).run();
    return addresses.states(List.of(url)).get(url);
  }

  /** An article with a text, open or not, that behaves as number says. */
  private static Work article(int rest, boolean open) {
    return WHOLE.works().stream()
        .filter(w -> w.kind().equals("article") && !w.abstractText().isEmpty() && w.pages() > 0)
        .filter(w -> w.facts().open() == open && w.number() % 61 == rest)
        .findFirst()
        .orElseThrow();
  }

  @DisplayName("Works, asks for sign-in, moved, dead; a dripping answer is not waited for")
  @Test
  void whatPlacesDo() throws Exception {
    try (TextHost host = new TextHost(0, WHOLE)) {
      Map<Integer, String> wanted =
          Map.of(
              0, AddressState.WORKS,
              7, AddressState.DEAD,
              13, AddressState.MOVED,
              19, AddressState.WORKS,
              29, AddressState.WORKS,
              43, AddressState.WORKS);
      wanted.forEach(
          (rest, state) -> {
            AddressState found = tried(host.places().pdf(article(rest, true)));
            assertThat(found.state()).as("an open one of " + rest).isEqualTo(state);
            assertThat(found.good() != null).isEqualTo(!state.equals(AddressState.DEAD));
            if (state.equals(AddressState.MOVED)) {
              assertThat(found.movedTo()).contains("/moved/doc/");
            }
          });
      assertThat(tried(host.places().pdf(article(0, false))).state())
          .isEqualTo(AddressState.SIGN_IN);
      String doi = WHOLE.works().get(0).doi();
      assertThat(tried(host.address() + "/doi/" + doi).state()).isEqualTo(AddressState.WORKS);
      assertThat(tried(host.address() + "/doi/10.5555/none").state()).isEqualTo(AddressState.DEAD);
    }
  }

  @DisplayName("One that does not answer keeps its state twice, then it is dead, with its last day")
  @Test
  void silence() throws Exception {
    String url;
    try (TextHost host = new TextHost(0, WHOLE)) {
      url = host.places().page(WHOLE.works().get(0));
      assertThat(tried(url).state()).isEqualTo(AddressState.WORKS);
    }
    assertThat(tried(url).state()).isEqualTo(AddressState.WORKS);
    assertThat(tried(url).state()).isEqualTo(AddressState.WORKS);
    AddressState dead = tried(url);
    assertThat(dead.state()).isEqualTo(AddressState.DEAD);
    assertThat(dead.good()).isNotNull();
  }

  @DisplayName("An address that is not public is not fetched, and never works")
  @Test
  void inwards() {
    for (String url : List.of("http://localhost:1/", "http://169.254.169.254/latest")) {
      tried(url);
      tried(url);
      assertThat(tried(url).state()).isEqualTo(AddressState.DEAD);
    }
  }

  @DisplayName("What was tried a moment ago is not tried again because somebody looks again")
  @Test
  void notTooOften() throws Exception {
    try (TextHost host = new TextHost(0, WHOLE)) {
      String url = host.places().page(WHOLE.works().get(1));
      tried(url);
      addresses.want(List.of(url));
      Integer due =
          database.queryForObject(
              "select count(*) from address where url = ? and system_due < now()",
              Integer.class,
              url);
      assertThat(due).isZero();
    }
  }
}
