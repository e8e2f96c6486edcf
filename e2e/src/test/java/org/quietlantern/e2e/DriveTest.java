package org.quietlantern.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Keyboard;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.regex.Pattern;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** What a group puts on its shared drive, and what becomes of it there. */
class DriveTest {
  @RegisterExtension private static final Browsing BROWSING = new Browsing();

  /** Milliseconds between the letters of a fast typist. */
  private static final double FAST = 35;

  private static Path drive(String path) {
    return BROWSING.lantern().data().resolve("drive").resolve(path);
  }

  private static Locator dialog(Person person) {
    return person.page().getByRole(AriaRole.DIALOG);
  }

  private static Locator line(Person person, String path) {
    return person
        .page()
        .getByRole(AriaRole.LISTITEM)
        .filter(new Locator.FilterOptions().setHasText(path));
  }

  private static void type(Person person, Locator field, String text) {
    field.click();
    person.page().keyboard().type(text, new Keyboard.TypeOptions().setDelay(FAST));
  }

  private static void openDrive(Person person) {
    person.go("Folders").link("The drive").click();
    assertThat(person.page()).hasTitle(Pattern.compile("^The drive"));
  }

  @DisplayName(
      "References and a bibliography are put into folders that are made, while the drive is slow to answer, and follow what is kept")
  @Test
  void follows() throws IOException {
    try (Person ilse = BROWSING.person("ilse")) {
      ilse.go("Folders").link("Verge lighting").first().click();
      ilse.page()
          .route(
              "**/drive/folder*",
              route -> {
                ilse.page().waitForTimeout(600);
                route.resume();
              });
      ilse.exactly("Export").click();
      dialog(ilse).getByLabel("BibTeX", new Locator.GetByLabelOptions().setExact(true)).check();
      dialog(ilse).getByText("Put it on the drive…").click();
      // Typed before the drive has said what stands there.
      type(ilse, dialog(ilse).getByLabel(Pattern.compile("In a new folder")), "For the journal");
      dialog(ilse).getByLabel(Pattern.compile("Keep it up to date")).check();
      Person.twice(dialog(ilse).getByText("Put it there"));
      assertThat(dialog(ilse)).isHidden();
      ilse.link("Bibliography").first().click();
      ilse.button("On the drive").click();
      ilse.exactly("DOCX…").click();
      assertThat(dialog(ilse).getByText("For the journal")).isVisible();
      dialog(ilse).getByText("For the journal").click();
      type(ilse, dialog(ilse).getByLabel(Pattern.compile("Name of the file")), "entries.docx");
      ilse.page().keyboard().press("Enter");
      assertThat(dialog(ilse)).isHidden();
      openDrive(ilse);
      String references = "For the journal/Verge-lighting.bib";
      assertThat(line(ilse, references)).containsText("Written on");
      assertThat(line(ilse, "For the journal/entries.docx")).containsText("Written on");
      assertThat(line(ilse, references)).hasCount(1);
      String before = Files.readString(drive(references));
      assertThat(Files.readAllBytes(drive("For the journal/entries.docx"))).startsWith('P', 'K');
      // A colleague takes a work out; a day later it is gone from the file, too.
      try (Person teodor = BROWSING.person("teodor")) {
        takeOneOut(teodor);
      }
      ilse.exactly("a day later").click();
      ilse.page().waitForCondition(() -> !read(drive(references)).equals(before));
      assertThat(entries(read(drive(references)))).isEqualTo(entries(before) - 1);
    }
  }

  private static void takeOneOut(Person person) {
    person.go("Folders").link("Verge lighting").first().click();
    person.page().getByRole(AriaRole.CHECKBOX).first().waitFor();
    person.page().keyboard().press("x");
    person.exactly("Take out").first().click();
    assertThat(person.text(Pattern.compile("taken out"))).isVisible();
  }

  private static int entries(String bibtex) {
    return bibtex.split("(?m)^@").length - 1;
  }

  private static String read(Path file) {
    try {
      return Files.readString(file);
    } catch (IOException failed) {
      throw new IllegalStateException(failed);
    }
  }

  @DisplayName("What somebody else has there is left alone until it is written over")
  @Test
  void nobodysFile() throws IOException {
    Files.writeString(drive("theirs.bib"), "by hand");
    try (Person ilse = BROWSING.person("ilse")) {
      ilse.go("Folders").link("Verge lighting").first().click();
      ilse.exactly("Export").click();
      dialog(ilse).getByLabel("BibTeX", new Locator.GetByLabelOptions().setExact(true)).check();
      dialog(ilse).getByText("Put it on the drive…").click();
      Locator name = dialog(ilse).getByLabel("Name of the file");
      name.fill("");
      type(ilse, name, "theirs.bib");
      ilse.page().keyboard().press("Enter");
      assertThat(dialog(ilse)).isHidden();
      openDrive(ilse);
      assertThat(line(ilse, "theirs.bib")).containsText("Another file stands on the drive");
      ilse.go("Today");
      assertThat(ilse.link("Look: theirs.bib")).isVisible();
      assertThat(drive("theirs.bib")).hasContent("by hand");
      ilse.link("Look: theirs.bib").click();
      line(ilse, "theirs.bib").getByText("Write over what stands there").click();
      assertThat(line(ilse, "theirs.bib")).containsText("Written on");
      assertThat(read(drive("theirs.bib"))).contains("@");
      // Off the list and back on it, by keys alone.
      ilse.button("Off this list: theirs.bib").press("Enter");
      assertThat(line(ilse, "theirs.bib")).hasCount(0);
      ilse.exactly("Undo").click();
      assertThat(line(ilse, "theirs.bib")).hasCount(1);
    }
  }

  @DisplayName(
      "A drive that refuses is not kept, and nothing typed is lost; members set none, guests see none")
  @Test
  void set() {
    try (Person ilse = BROWSING.person("ilse")) {
      openDrive(ilse);
      ilse.exactly("Set it anew").click();
      type(ilse, ilse.page().getByLabel("Password"), "a wrong one");
      ilse.exactly("Try it and set it").click();
      assertThat(ilse.page().getByRole(AriaRole.ALERT))
          .containsText("refuses the name or the password");
      assertThat(ilse.page().getByLabel("Password")).hasValue("a wrong one");
      ilse.page().getByLabel("Password").fill("");
      type(ilse, ilse.page().getByLabel("Password"), Lantern.PASSWORD);
      ilse.page().keyboard().press("Enter");
      assertThat(ilse.page().getByLabel("Password")).hasCount(0);
      ilse.page().reload();
      assertThat(ilse.text(Pattern.compile("set by Ilse"))).isVisible();
    }
    try (Person teodor = BROWSING.person("teodor")) {
      openDrive(teodor);
      assertThat(teodor.exactly("Set it anew")).hasCount(0);
    }
    try (Person jon = BROWSING.person("jon")) {
      jon.go("Folders");
      assertThat(jon.link("The drive")).hasCount(0);
      jon.page()
          .navigate(BROWSING.lantern().address() + jon.path().replaceFirst("/folders.*", "/drive"));
      assertThat(jon.text("The drive is for members of the group.")).isVisible();
    }
  }

  @DisplayName("The drive and what is put on it can be used by everybody, by day and by night")
  @Test
  void accessible() {
    try (Person ilse = BROWSING.person("ilse")) {
      openDrive(ilse);
      ilse.exactly("Set it anew").click();
      assertThat(line(ilse, "Manuscript/verge-lighting.bib")).isVisible();
      Views.sound(ilse);
      ilse.go("Folders").link("Verge lighting").first().click();
      ilse.link("Bibliography").first().click();
      ilse.button("On the drive").click();
      ilse.exactly("Web page…").click();
      assertThat(dialog(ilse).getByText("Manuscript")).isVisible();
      Views.sound(ilse);
      ilse.page().keyboard().press("Escape");
      assertThat(dialog(ilse)).isHidden();
    }
  }
}
