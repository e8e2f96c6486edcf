package org.quietlantern.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Keyboard;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Two members work in a folder, one of them in a hurry. */
class FolderTest {
  private static final Keyboard.TypeOptions FAST = new Keyboard.TypeOptions().setDelay(12);
  @RegisterExtension private static final Browsing BROWSING = new Browsing();

  private static Locator kept(Person person) {
    return person.page().getByLabel("Publications kept");
  }

  private static Locator titles(Person person) {
    return kept(person).locator("[aria-posinset] a.font-serif, [aria-posinset] a[href*='/p/']");
  }

  private static String title(Person person, int row) {
    return kept(person)
        .getByRole(AriaRole.LISTITEM)
        .and(person.page().locator("[aria-posinset='" + row + "']"))
        .getByRole(AriaRole.LINK)
        .first()
        .innerText();
  }

  private static Locator dialog(Person person) {
    return person.page().getByRole(AriaRole.DIALOG);
  }

  private static void open(Person person, String folder) {
    person.go("Folders").link(folder).first().click();
    titles(person).first().waitFor();
  }

  @DisplayName("What is kept nowhere yet: kept in a hurry, looked for again, and all is back")
  @Test
  void nowhere() {
    try (Person sefa = BROWSING.person("sefa")) {
      sefa.newSheet().search("loggers");
      Locator bar = sefa.page().getByLabel("Result", new Page.GetByLabelOptions().setExact(true));
      String all = bar.getByRole(AriaRole.STATUS).first().innerText();
      sefa.page().getByLabel("Listed").selectOption("kept nowhere yet");
      // The number of all is not told as theirs while they are looked for.
      Locator list =
          bar.getByText(Pattern.compile("the list shows the [\\d,]+ that are kept nowhere yet"));
      assertThat(list).isVisible();
      int before = number(list);
      sefa.page().getByLabel("Say something to the group").waitFor();
      // A key counts half a second after the last letter that was typed.
      sefa.page().waitForTimeout(700);
      sefa.page().keyboard().press("n");
      sefa.page().getByLabel("Folder").selectOption("Methods and loggers");
      sefa.page().keyboard().press("Enter");
      assertThat(sefa.page().getByRole(AriaRole.DIALOG)).hasCount(0);
      sefa.exactly("Look again").click();
      assertThat(bar.getByText("the list shows the " + (before - 1))).isVisible();
      assertThat(bar.getByRole(AriaRole.STATUS).first()).hasText(all);
      sefa.page().reload();
      assertThat(bar.getByText("the list shows the " + (before - 1))).isVisible();
      sefa.exactly("Show all").click();
      assertThat(list).hasCount(0);
    }
  }

  private static int number(Locator words) {
    return Integer.parseInt(
        words.innerText().replaceAll("(?s).*shows the ([\\d,]+) .*", "$1").replace(",", ""));
  }

  @DisplayName(
      "Ticked at full speed, moved as one act with what was said, found by the other, undone")
  @Test
  void moved() {
    try (Person ilse = BROWSING.person("ilse");
        Person teodor = BROWSING.person("teodor")) {
      ilse.go("Folders");
      ilse.page().getByLabel("New folder").fill("For the meeting");
      ilse.page().keyboard().press("Enter");
      ilse.link("For the meeting").waitFor();
      open(ilse, "Verge lighting");
      int all =
          Integer.parseInt(
              kept(ilse).locator("[aria-setsize]").first().getAttribute("aria-setsize"));
      ilse.page().keyboard().type("xjxjx", FAST);
      assertThat(ilse.text("3 publications ticked")).isVisible();
      List<String> ticked = List.of(title(ilse, 1), title(ilse, 2), title(ilse, 3));
      ilse.exactly("Move or copy").first().click();
      dialog(ilse).getByLabel("Into").selectOption("For the meeting");
      Person.twice(
          dialog(ilse)
              .getByRole(
                  AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Move").setExact(true)));
      assertThat(dialog(ilse)).hasCount(0);
      assertThat(ilse.text((all - 3) + " publication").first()).isVisible();

      open(teodor, "For the meeting");
      for (String one : ticked) {
        assertThat(kept(teodor)).containsText(one);
      }
      teodor
          .page()
          .getByRole(AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName("Order"))
          .selectOption("hand");
      titles(teodor).first().waitFor();
      String last = title(teodor, 3);
      kept(teodor).locator("[aria-posinset='3']").click();
      teodor.exactly("To the top").click();
      assertThat(kept(teodor).locator("[aria-posinset='1']")).containsText(last);
      teodor.page().reload();
      assertThat(kept(teodor).locator("[aria-posinset='1']")).containsText(last);

      ilse.page().keyboard().press("0");
      assertThat(ilse.text(all + " publication").first()).isVisible();
      assertThat(teodor.text("Nothing is kept here yet.")).isVisible();
    }
  }

  @DisplayName(
      "Taken out in a hurry, seen in the bin by the other, brought back; how it was is told")
  @Test
  void bin() {
    try (Person ilse = BROWSING.person("ilse");
        Person teodor = BROWSING.person("teodor")) {
      open(ilse, "Verge lighting");
      open(teodor, "Verge lighting");
      List<String> three = List.of(title(ilse, 1), title(ilse, 2), title(ilse, 3));
      ilse.page().keyboard().type("xjxjx", FAST);
      assertThat(ilse.text("3 publications ticked")).isVisible();
      Person.twice(ilse.exactly("Take out").first());
      assertThat(ilse.text("3 publications taken out of Verge lighting.")).isVisible();
      assertThat(kept(teodor).getByText(three.get(0))).hasCount(0);

      teodor.go("Folders").link("Bin").click();
      Locator line =
          teodor
              .page()
              .getByRole(AriaRole.LISTITEM)
              .filter(new Locator.FilterOptions().setHasText("3 publications of"))
              .first();
      assertThat(line).containsText("taken out by Ilse Brandvold");
      line.getByText("One by one").click();
      teodor.button("Bring it back: " + three.get(1)).click();
      assertThat(teodor.text("1 publication back in Verge lighting.")).isVisible();
      assertThat(kept(ilse)).containsText(three.get(1));
      Person.twice(teodor.exactly("Bring them back").first());
      assertThat(teodor.text("2 publications back in Verge lighting.")).isVisible();
      for (String one : three) {
        assertThat(kept(ilse)).containsText(one);
      }
      // What Ilse did is changed since; she does not undo what Teodor did after it.
      teodor.page().goBack();
      ilse.exactly("Name and place").first().click();
      dialog(ilse).getByLabel("Name").fill("Verges, lit");
      ilse.page().keyboard().press("Enter");
      assertThat(dialog(ilse)).hasCount(0);
      teodor.link("Verges, lit").first().click();
      teodor.link("Activity").first().click();
      assertThat(teodor.text("name: Verge lighting")).containsText("Verges, lit");
      ilse.page().keyboard().press("0");
      assertThat(teodor.text("taken back since").first()).isVisible();
    }
  }

  @DisplayName("A folder goes into another; its address leads there, for the other too; undone")
  @Test
  void merged() {
    try (Person ilse = BROWSING.person("ilse");
        Person teodor = BROWSING.person("teodor")) {
      open(ilse, "Moth declines");
      String before = ilse.path().replaceAll("\\?.*", "");
      open(teodor, "Moth declines");
      ilse.exactly("Put into another").click();
      dialog(ilse).getByLabel("Into").selectOption("Verge lighting");
      Person.twice(ilse.exactly("Put them together"));
      assertThat(
              ilse.page()
                  .getByRole(
                      AriaRole.HEADING,
                      new Page.GetByRoleOptions().setName("Verge lighting").setExact(true)))
          .isVisible();
      String into = ilse.path().replaceAll("\\?.*", "");
      // Whoever looked at the former one is led along.
      teodor.page().waitForURL(url -> url.contains(into));
      teodor.page().navigate(BROWSING.lantern().address() + before);
      teodor.page().waitForURL(url -> url.contains(into));
      ilse.exactly("Undo").click();
      ilse.link("Folders").waitFor();
      open(teodor, "Moth declines");
      assertThat(teodor.path()).startsWith(before);
      assertThat(kept(teodor)).isVisible();
    }
  }

  @DisplayName("A remark with a mention is answered by the other, settled, and folded for both")
  @Test
  void remarked() {
    try (Person ilse = BROWSING.person("ilse");
        Person teodor = BROWSING.person("teodor");
        Person jon = BROWSING.person("jon")) {
      open(ilse, "Verge lighting");
      ilse.page().getByLabel("Say something to the group").click();
      ilse.page().keyboard().type("Which lamps, @te", FAST);
      ilse.page().keyboard().press("Enter");
      ilse.page().keyboard().type("?", FAST);
      ilse.page().keyboard().press("Control+Enter");
      Locator remarks =
          ilse.page().getByLabel("Remarks", new Page.GetByLabelOptions().setExact(true));
      assertThat(remarks).containsText("Which lamps, @Teodor Vance ?");
      assertThat(ilse.page().getByLabel("Say something to the group")).hasValue("");

      open(teodor, "Verge lighting");
      Locator his =
          teodor.page().getByLabel("Remarks", new Page.GetByLabelOptions().setExact(true));
      assertThat(his).containsText("Which lamps");
      his.getByText("Answer").click();
      teodor.page().keyboard().type("Sodium, as on ours", FAST);
      teodor.page().keyboard().press("Control+Enter");
      assertThat(remarks).containsText("Sodium, as on ours");
      Person.twice(remarks.getByText("Settle"));
      assertThat(his).containsText("settled by Ilse Brandvold");

      jon.page().navigate(BROWSING.lantern().address() + ilse.path());
      Locator guests =
          jon.page().getByLabel("Remarks", new Page.GetByLabelOptions().setExact(true));
      assertThat(guests).containsText("settled by Ilse Brandvold");
      assertThat(jon.page().getByLabel("Say something to the group")).hasCount(0);
    }
  }

  @DisplayName("Why it was kept is written anew; letters typed there are no keys; undone")
  @Test
  void anew() {
    try (Person ilse = BROWSING.person("ilse")) {
      open(ilse, "Verge lighting");
      Locator here = ilse.page().getByLabel("Kept here");
      for (int row = 0; here.getByText("Write it anew").count() == 0 && row < 20; row++) {
        ilse.page().keyboard().press("j");
        ilse.page().waitForTimeout(300);
      }
      here.getByText("Write it anew").click();
      ilse.page().getByLabel("Why it is kept").fill("");
      ilse.page().keyboard().type("for the appendix, jx1", FAST);
      ilse.page().keyboard().press("Control+Enter");
      assertThat(here).containsText("“for the appendix, jx1”");
      assertThat(kept(ilse)).containsText("“for the appendix, jx1”");
      ilse.page().keyboard().press("0");
      assertThat(here).not().containsText("for the appendix, jx1");
      assertThat(ilse.path()).contains("/f/");
    }
  }
}
