package org.quietlantern.server.demo;

import java.util.List;
import java.util.Locale;
import org.quietlantern.server.account.Accounts;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.LanternProperties;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/** The made-up groups and what they begin with, by the same commands that members give. */
@Component
@ConditionalOnProperty("lantern.demo.enabled")
class DemoGroups {
  static final String ZONE = "Europe/Oslo";
  private final LanternProperties properties;
  private final Accounts accounts;
  private final Groups groups;
  private final DemoHands hands;

  DemoGroups(LanternProperties properties, Accounts accounts, Groups groups, DemoHands hands) {
    this.properties = properties;
    this.accounts = accounts;
    this.groups = groups;
    this.hands = hands;
  }

  void found() {
    List<Member> hollow =
        join(
            "Tern Hollow night ecology",
            "ternhollow.example",
            "Ilse Brandvold",
            "Teodor Vance",
            "Maren Oduya",
            "Sefa Lautala",
            "Jon Arkell",
            "Bram Ostrow");
    hollowBegins(hollow.get(0), hollow.get(1), hollow.get(2), hollow.get(3));
    Member bram = hollow.get(5);
    hands.keepInPile(bram, "skyglow and zenith", "the method for the thesis");
    hands.keepInPile(bram, "skyglow and moth*", "sites like ours");
    hands.keepInPile(bram, "\"sky brightness\"", "which meter they used");
    List<Member> fen =
        join(
            "Harrow Fen bat recorders",
            "harrowfen.example",
            "Una Selwyn",
            "Piet Morrow",
            "Rhodri Cafell");
    String roosts = hands.folder(fen.get(0), "Roosts and lamps");
    hands.watch(fen.get(0), roosts, "Roosts", "roost* and (lamp* or light*)", "weekly:FRIDAY");
  }

  private void hollowBegins(Member ilse, Member teodor, Member maren, Member sefa) {
    String verges = hands.folder(ilse, "Verge lighting");
    String bats = hands.folder(teodor, "Bats at lit crossings");
    String moths = hands.folder(maren, "Moth declines");
    String review = hands.folder(sefa, "Review: part-night lighting");
    String loggers = hands.folder(sefa, "Methods and loggers");
    String reading = hands.folder(ilse, "Reading group");
    hands.watch(
        ilse,
        verges,
        "Gentler lighting",
        "dimm* or \"part-night lighting\" or curfew* or shield* or \"amber lighting\" or"
            + " \"motion-triggered\"",
        "weekly:TUESDAY");
    hands.watch(
        teodor,
        bats,
        "Bats near lamps",
        "title: (bat* or pipistrelle* or noctule*)",
        "weekly:TUESDAY");
    hands.watch(maren, moths, "Moths", "moth* and (decline* or abundance or larva*)", "daily");
    hands.watchApart(
        sefa,
        review,
        "Pollination at night",
        "pollinat* or \"flower visits\" or \"seed set\" or \"fruit set\"",
        "monthly:1",
        2);
    hands.save(ilse, verges, "Road verges, any lamp", "heading: \"road verges\"");
    String horseshoes = hands.save(teodor, bats, "Horseshoe bats", "horseshoe or rhinolophus");
    hands.check(maren, horseshoes, 1, "the genus finds hardly anything more, but leave it in");
    hands.save(maren, moths, "Light traps and skyglow", "\"light traps\" and skyglow");
    String cheap =
        hands.save(sefa, loggers, "Cheap loggers", "title: (logger or device or cheap or open)");
    hands.revise(
        sefa,
        cheap,
        1,
        "title: (logger or device or \"open hardware\") or \"low-cost\"",
        "“cheap” and “open” alone met lamps and habitats");
    hands.give(sefa, cheap, 2, ilse);
    hands.keep(ilse, verges, "dimm* verges", "the before-after design we wanted");
    hands.keep(ilse, verges, "\"part-night lighting\" moths", "for the introduction");
    hands.keep(teodor, verges, "curfew*", "for the methods section");
    hands.keep(teodor, bats, "bats and \"commuting routes\"", "same recorders as ours");
    hands.keep(maren, bats, "pipistrelles and \"road verges\"", "compare with our own counts");
    hands.keep(maren, moths, "moths and \"long-term\"", "the longest series I know of");
    hands.keep(sefa, review, "kind: review and \"part-night\"", "who has reviewed it before");
    hands.keep(sefa, loggers, "title: logger", "build one in spring?");
    hands.keep(ilse, reading, "darkness and refuge", "next reading group");
  }

  /** The first one coordinates, the fifth is a guest. */
  private List<Member> join(String name, String domain, String... people) {
    int group = groups.add(name, ZONE);
    for (int i = 0; i < people.length; i++) {
      String given = people[i].substring(0, people[i].indexOf(' ')).toLowerCase(Locale.ROOT);
      int account = accounts.add(given + "@" + domain, properties.demo().password(), ZONE);
      if (given.equals("ilse")) {
        accounts.makeSteward(account);
      }
      groups.join(group, account, i == 0 ? "coordinator" : i == 4 ? "guest" : "member", people[i]);
    }
    return groups.members(group);
  }
}
