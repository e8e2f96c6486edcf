package org.quietlantern.core.publication;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** A supplied record for tests: valid by default, changed by naming what a test is about. */
final class Made {
  private String title = "Dimming of verges: a trial with moths";
  private Kind kind = Kind.ARTICLE;
  private VersionKind version = VersionKind.FINAL;
  private List<PersonName> authors = List.of(new PersonName("Oduya", "Maren"));
  private Optional<PartialDate> date = PartialDate.read("2025-03-04");
  private Host host = Host.NONE;
  private String text = "";
  private List<HeadingUse> headings = List.of();
  private List<String> keywords = List.of();
  private String doi = "";
  private String versionOf = "";
  private String noticeOf = "";
  private List<Relations.Notice> notices = List.of();
  private int pages;
  private Optional<PartialDate> issued = Optional.empty();
  private List<Identifier> identifiers = List.of();
  private List<Contributor> contributors = List.of();
  private List<Copy> copies = List.of();

  static Made plain() {
    return new Made();
  }

  Made title(String value) {
    title = value;
    return this;
  }

  Made kind(Kind value) {
    kind = value;
    return this;
  }

  Made version(VersionKind value) {
    version = value;
    return this;
  }

  /** As “Family, Given”. */
  Made by(String... names) {
    authors =
        Arrays.stream(names)
            .map(n -> n.split(", "))
            .map(n -> new PersonName(n[0], n.length > 1 ? n[1] : ""))
            .toList();
    return this;
  }

  Made date(String value) {
    date = PartialDate.read(value);
    return this;
  }

  Made in(String journal, String volume, String page) {
    host = new Host(journal, "", volume, "", page, "");
    return this;
  }

  Made text(String value) {
    text = value;
    return this;
  }

  Made heading(String label, boolean central, String... aspects) {
    headings = List.of(new HeadingUse("urn:h:" + label, label, central, List.of(aspects)));
    return this;
  }

  Made keywords(String... words) {
    keywords = List.of(words);
    return this;
  }

  Made doi(String value) {
    doi = value;
    return this;
  }

  Made versionOf(String value) {
    versionOf = value;
    return this;
  }

  Made noticeOf(String value) {
    noticeOf = value;
    return this;
  }

  /** Notices of these kinds. */
  Made notices(String... kinds) {
    notices =
        Arrays.stream(kinds)
            .map(kind -> new Relations.Notice(kind, "10.5555/" + kind, "2026-11-20"))
            .toList();
    return this;
  }

  /** A page with the text, of the version that was set last. */
  Made copy(String address, boolean open) {
    copies = List.of(new Copy(address, Copy.Use.PAGE, version, open));
    return this;
  }

  Made pages(int value) {
    pages = value;
    return this;
  }

  Made issued(String value) {
    issued = PartialDate.read(value);
    return this;
  }

  Made number(String scheme, String value) {
    identifiers = List.of(Identifier.of(scheme, value).orElseThrow());
    return this;
  }

  Made with(Contributor... all) {
    contributors = List.of(all);
    return this;
  }

  Publication read() {
    return new Publication(
        title,
        "",
        kind,
        version,
        authors,
        date,
        host,
        "",
        "en",
        text,
        headings,
        keywords,
        doi,
        new Relations(versionOf, noticeOf, notices),
        pages,
        false,
        Studied.NONE,
        Optional.empty(),
        Cited.UNKNOWN,
        issued,
        identifiers,
        contributors,
        copies);
  }
}
