package org.quietlantern.core.drive;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class DriveTest {
  @Test
  void aPathIsNamesAndIsEncodedNameByName() {
    DrivePath path = DrivePath.read(" /Lesesaal  A/Größe & Maß/100%.bib");
    assertThat(path.names()).containsExactly("Lesesaal  A", "Größe & Maß", "100%.bib");
    assertThat(path.encoded())
        .isEqualTo("Lesesaal%20%20A/Gr%C3%B6%C3%9Fe%20%26%20Ma%C3%9F/100%25.bib");
    assertThat(DrivePath.decoded(path.encoded())).isEqualTo(path.names());
    assertThat(DrivePath.read(path.text())).isEqualTo(path);
    assertThat(DrivePath.read("").names()).isEmpty();
    // The same word in two forms of Unicode is one name.
    assertThat(DrivePath.read("Mu\u0308ll")).isEqualTo(DrivePath.read("M\u00fcll"));
  }

  @ParameterizedTest
  @ValueSource(strings = {"..", "a/../b", ".", "a\\b", "a\nb", "c:", "what?", "end.", "a/\u0000"})
  void whatLeadsElsewhereIsNoPath(String typed) {
    assertThatThrownBy(() -> DrivePath.read(typed)).isInstanceOf(IllegalArgumentException.class);
  }

  @Test
  void pathsHaveAnEnd() {
    assertThatThrownBy(() -> DrivePath.read("a/".repeat(11)))
        .hasMessageContaining("more than ten folders");
    assertThatThrownBy(() -> DrivePath.read("a".repeat(121))).hasMessageContaining("120 letters");
  }

  @Test
  void aListingIsReadWhateverItsPrefixesAndAddresses() throws IOException {
    String answer =
        """
        <?xml version="1.0" encoding="utf-8"?>
        <x:multistatus xmlns:x="DAV:" xmlns:o="urn:other">
          <x:response><x:href>/dav/our%20group/</x:href><x:propstat><x:prop><x:resourcetype>
            <x:collection/></x:resourcetype></x:prop></x:propstat></x:response>
          <x:response><x:href>https://drive.example:8443/dav/our%20group/Zettel/</x:href>
            <x:propstat><x:prop><x:resourcetype><x:collection/></x:resourcetype></x:prop></x:propstat>
          </x:response>
          <x:response><x:href>/dav/our%20group/%C3%84rger</x:href><x:propstat><x:prop>
            <x:resourcetype><x:collection/><o:shared/></x:resourcetype></x:prop></x:propstat></x:response>
          <x:response><x:href>/dav/our%20group/a.bib</x:href><x:propstat><x:prop>
            <x:resourcetype/></x:prop></x:propstat></x:response>
          <x:response><x:href>/dav/our%20group/Zettel/too-deep</x:href></x:response>
          <x:response><x:href>/elsewhere</x:href></x:response>
        </x:multistatus>""";
    assertThat(DriveListing.read("/dav/our%20group", answer))
        .isEqualTo(new DriveListing(true, List.of("Ärger", "Zettel"), List.of("a.bib")));
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "",
        "<html><p>Welcome</html>",
        "<multistatus/>",
        "<!DOCTYPE x [<!ENTITY e SYSTEM 'file:///etc/passwd'>]><m xmlns='DAV:'>&e;</m>",
        "{\"files\":[]}"
      })
  void whatIsNoListingIsToldAsSuch(String answer) {
    assertThatThrownBy(() -> DriveListing.read("/", answer))
        .isInstanceOf(IOException.class)
        .hasMessageContaining("drive");
  }

  @ParameterizedTest
  @CsvSource({
    "200,DONE,false",
    "201,DONE,false",
    "204,DONE,false",
    "207,DONE,false",
    "301,LEADS_ELSEWHERE,false",
    "302,LEADS_ELSEWHERE,false",
    "401,REFUSED,false",
    "403,FORBIDDEN,false",
    "404,NOTHING_THERE,false",
    "405,NO_DRIVE,false",
    "412,NOT_AS_THOUGHT,false",
    "418,NO_DRIVE,false",
    "423,LOCKED,true",
    "429,BUSY,true",
    "500,BROKEN,true",
    "503,BUSY,true",
    "507,FULL,true"
  })
  void answersMeanSomethingToPeople(int code, DriveAnswer meant, boolean passes) {
    assertThat(DriveAnswer.of(code)).isEqualTo(meant);
    assertThat(meant.passes()).isEqualTo(passes);
    assertThat(meant.words().isEmpty()).isEqualTo(meant == DriveAnswer.DONE);
  }

  @Test
  void tagsAreComparedWeakly() {
    EntityTag strong = new EntityTag("\"a-1\"");
    EntityTag weak = new EntityTag("W/\"a-1\"");
    assertThat(strong.isLike(weak)).isTrue();
    assertThat(strong.isStrong()).isTrue();
    assertThat(weak.isStrong()).isFalse();
    assertThat(strong.isLike(new EntityTag("\"a-2\""))).isFalse();
    assertThat(EntityTag.NONE.isLike(EntityTag.NONE)).isFalse();
    // A line of a header cannot be ended by one.
    assertThat(new EntityTag("\"a\r\nX: b\"")).isEqualTo(EntityTag.NONE);
  }
}
