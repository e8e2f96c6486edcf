package org.quietlantern.core.newsfeed;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.quietlantern.core.publication.PersonName;
import org.quietlantern.core.publication.Publication;

/** Feeds as journals write them, and as nobody should. */
class NewsfeedTest {
  private static final String RSS =
      """
      <?xml version="1.0" encoding="UTF-8"?>
      <rss version="2.0" xmlns:dc="http://purl.org/dc/elements/1.1/"
        xmlns:prism="http://prismstandard.org/namespaces/basic/3.0/">
      <channel><title>Pond &amp; Lamp</title><link>https://pond.example/</link>
      <item><title>Newts by <![CDATA[<i>night</i>]]></title><link>https://pond.example/1</link>
        <guid isPermaLink="false">pond-1</guid>
        <description>&lt;p&gt;Newts &lt;script&gt;alert(1)&lt;/script&gt;walk &amp;amp; swim.&lt;/p&gt;</description>
        <dc:creator>Ada van der Moth</dc:creator><dc:creator>Bat, Bo</dc:creator>
        <prism:doi>10.5555/pond.1</prism:doi><prism:volume>7</prism:volume>
        <prism:number>2</prism:number><prism:startingPage>11</prism:startingPage>
        <prism:endingPage>19</prism:endingPage><prism:issn>9999-1004</prism:issn>
        <prism:publicationName>The Pond</prism:publicationName>
        <prism:publicationDate>2026-11</prism:publicationDate>
        <pubDate>Tue, 01 Dec 2026 05:00:00 GMT</pubDate></item>
      <item><title>Newts by night</title><guid isPermaLink="false">pond-1</guid></item>
      <item><description>No title</description></item>
      </channel></rss>
      """;

  private static Newsfeed read(String text) throws Newsfeed.Unreadable {
    return NewsfeedReader.read(text.getBytes(StandardCharsets.UTF_8), "");
  }

  @DisplayName("RSS 2.0 with Dublin Core and PRISM: an entry is a work, once; markup is words")
  @Test
  void rss() throws Newsfeed.Unreadable {
    Newsfeed feed = read(RSS);
    assertThat(feed.title()).isEqualTo("Pond & Lamp");
    assertThat(feed.site()).isEqualTo("https://pond.example/");
    assertThat(feed.unread()).isEqualTo(1);
    assertThat(feed.entries()).hasSize(1);
    Newsfeed.Entry entry = feed.entries().get(0);
    assertThat(entry.id()).isEqualTo("pond-1");
    Publication work = entry.work();
    assertThat(work.title()).isEqualTo("Newts by night");
    assertThat(work.abstractText()).isEqualTo("Newts walk & swim.");
    assertThat(work.authors())
        .containsExactly(new PersonName("van der Moth", "Ada"), new PersonName("Bat", "Bo"));
    assertThat(work.doi()).isEqualTo("10.5555/pond.1");
    assertThat(work.date().orElseThrow()).hasToString("2026-11");
    assertThat(work.host().title()).isEqualTo("The Pond");
    assertThat(work.host().issn()).isEqualTo("9999-1004");
    assertThat(work.host().volume()).isEqualTo("7");
    assertThat(work.host().firstPage()).isEqualTo("11");
  }

  @DisplayName(
      "Atom (RFC 4287): the DOI by its address, the day of publishing, the feed as journal")
  @Test
  void atom() throws Newsfeed.Unreadable {
    Newsfeed feed =
        read(
            """
            <feed xmlns="http://www.w3.org/2005/Atom"><title type="html">Lamp &amp;amp; Owl</title>
            <link href="https://owl.example/"/><id>urn:owl</id><updated>2026-11-02T00:00:00Z</updated>
            <entry><title>Owls</title><id>urn:owl:1</id><author><name>A. Owl</name></author>
              <link href="https://doi.org/10.5555/owl.1"/><published>2026-11-01T22:00:00Z</published>
              <updated>2026-11-02T00:00:00Z</updated><content type="html">&lt;b&gt;Hoot&lt;/b&gt;</content>
            </entry></feed>
            """);
    Publication work = feed.entries().get(0).work();
    assertThat(feed.title()).isEqualTo("Lamp & Owl");
    assertThat(work.doi()).isEqualTo("10.5555/owl.1");
    assertThat(work.date().orElseThrow()).hasToString("2026-11-01");
    assertThat(work.host().title()).isEqualTo("Lamp & Owl");
    assertThat(work.abstractText()).isEqualTo("Hoot");
    assertThat(work.authors()).containsExactly(new PersonName("Owl", "A."));
  }

  @DisplayName("Without ids an entry is known by where it leads, else by its title; dates may lack")
  @Test
  void poor() throws Newsfeed.Unreadable {
    Newsfeed feed =
        read(
            """
            <rss version="2.0"><channel><title>T</title>
            <item><title>One</title><link>https://x.example/1</link></item>
            <item><title>Two</title><link>javascript:alert(1)</link></item>
            </channel></rss>
            """);
    assertThat(feed.entries())
        .extracting(Newsfeed.Entry::id)
        .containsExactly("https://x.example/1", "Two");
    assertThat(feed.entries().get(1).link()).as("leads nowhere").isEmpty();
    assertThat(feed.entries().get(0).work().date()).isEmpty();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "Ada Moth, Bo Bat and Cy Dee|Moth/Ada Bat/Bo Dee/Cy",
        "Moth, Ada; Bat, Bo|Moth/Ada Bat/Bo",
        "Moth, Ada|Moth/Ada",
        "Ludwig van Lamp|van Lamp/Ludwig",
        "National Institute of Owls|National Institute of Owls/",
      })
  void names(String field, String expected) {
    assertThat(
            EntryNames.of(field).stream()
                .map(one -> one.name().family() + "/" + one.name().given())
                .collect(Collectors.joining(" ")))
        .isEqualTo(expected);
  }

  @DisplayName("Another charset than it says is read by what it says; nothing breaks")
  @Test
  void charsets() throws Newsfeed.Unreadable {
    String latin =
        "<?xml version=\"1.0\" encoding=\"ISO-8859-1\"?><rss version=\"2.0\"><channel><title>É</title>"
            + "<item><title>Früh</title></item></channel></rss>";
    byte[] bytes = latin.getBytes(Charset.forName("ISO-8859-1"));
    assertThat(NewsfeedReader.read(bytes, "").entries().get(0).work().title()).isEqualTo("Früh");
    assertThat(NewsfeedReader.read(bytes, "application/rss+xml").title()).isEqualTo("É");
    byte[] wrong = latin.replace("ISO-8859-1", "UTF-8").getBytes(Charset.forName("ISO-8859-1"));
    assertThat(NewsfeedReader.read(wrong, "").entries().get(0).work().title())
        .as("letters that are none are shown as such")
        .startsWith("Fr")
        .endsWith("h");
  }

  @DisplayName("What is no feed, or means harm, is refused with a sentence")
  @ParameterizedTest
  @ValueSource(
      strings = {
        "",
        "hello",
        "<html><body>No feed</body></html>",
        "<rss version='2.0'><channel><title>T</title>",
        "<!DOCTYPE rss [<!ENTITY a 'b'>]><rss version='2.0'><channel><title>&a;</title></channel></rss>",
        "<!DOCTYPE rss SYSTEM 'file:///etc/passwd'><rss version='2.0'><channel/></rss>",
      })
  void refused(String text) {
    assertThatThrownBy(() -> read(text))
        .isInstanceOf(Newsfeed.Unreadable.class)
        .message()
        .satisfies(said -> assertThat(said).isNotBlank().doesNotContain("passwd"));
  }

  @DisplayName("A thousand entries are read, the rest is counted; a large one is refused")
  @Test
  void many() throws Newsfeed.Unreadable {
    String items =
        IntStream.range(0, 1_500)
            .mapToObj(n -> "<item><title>Paper %d</title></item>".formatted(n))
            .collect(Collectors.joining());
    Newsfeed feed =
        read("<rss version=\"2.0\"><channel><title>T</title>" + items + "</channel></rss>");
    assertThat(feed.entries()).hasSize(Newsfeed.MOST);
    assertThat(feed.left()).isEqualTo(500);
    assertThatThrownBy(() -> NewsfeedReader.read(new byte[NewsfeedReader.LARGEST + 1], ""))
        .hasMessage("It is larger than 8 MB.");
  }

  @DisplayName("Nested a hundred thousand deep, a feed is refused and a list is read")
  @Test
  void deep() throws Newsfeed.Unreadable {
    int depth = 100_000;
    String feed =
        "<rss version=\"2.0\"><channel><title>T</title><item><title>One</title>"
            + "<a>".repeat(depth)
            + "</a>".repeat(depth)
            + "</item></channel></rss>";
    assertThatThrownBy(() -> read(feed)).hasMessage("It is nested too deeply to be read.");
    assertThat(read(RSS.replace("No title", "<![CDATA[" + "<p>".repeat(depth) + "]]>")).entries())
        .as("what is text is not nested")
        .hasSize(1);
    String list =
        "<opml version=\"2.0\"><body>"
            + "<outline text=\"in\">".repeat(1_000)
            + "<outline text=\"Pond\" xmlUrl=\"https://pond.example/rss\"/>"
            + "</outline>".repeat(1_000)
            + "</body></opml>";
    assertThat(FeedListReader.read(list.getBytes(StandardCharsets.UTF_8)).feeds())
        .containsExactly(new FeedListReader.Listed("Pond", "https://pond.example/rss"));
  }

  @DisplayName("A list has each address once, up to 500; what leads nowhere is left out")
  @Test
  void lists() throws Newsfeed.Unreadable {
    String many =
        IntStream.range(0, 600)
            .mapToObj(n -> "<outline title='F%d' xmlurl='https://x.example/%1$d'/>".formatted(n))
            .collect(Collectors.joining());
    FeedListReader.FeedList list =
        FeedListReader.read(
            ("<OPML><outline text='A' xmlUrl='https://x.example/0'/>"
                    + "<outline text='B' xmlUrl='file:///etc/passwd'/>"
                    + many
                    + "</OPML>")
                .getBytes(StandardCharsets.UTF_8));
    assertThat(list.feeds()).hasSize(FeedListReader.MOST);
    assertThat(list.feeds().get(0).title()).isEqualTo("A");
    assertThat(list.left()).isEqualTo(100);
    for (String odd : List.of("<feeds/>", "", "<opml><outline")) {
      assertThatThrownBy(() -> FeedListReader.read(odd.getBytes(StandardCharsets.UTF_8)))
          .isInstanceOf(Newsfeed.Unreadable.class);
    }
  }
}
