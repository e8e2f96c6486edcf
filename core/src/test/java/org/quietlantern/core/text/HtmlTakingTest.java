package org.quietlantern.core.text;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import org.jsoup.Jsoup;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class HtmlTakingTest {
  private static TakenText take(String body) throws TakenText.Unreadable {
    String page = "<!doctype html><meta charset=utf-8><title> Moths  at lamps</title>" + body;
    return HtmlTaking.take(page.getBytes(StandardCharsets.UTF_8));
  }

  @Test
  void keepsWhatIsSaidAndWhereItsPartsAre() throws Exception {
    TakenText text =
        take(
            "<nav>Contents <a href=#m>Methods</a></nav><h1>Moths at lamps</h1><p>We <em>counted</em>."
                + " See <a href='#m'>methods</a>.<h2 id=m>Methods</h2><p>At\n night.</p>"
                + "<figure><svg viewBox='0 0 9 9'><path d='M0 0L9 9'/></svg>"
                + "<figcaption>Figure 1. Moths.</figcaption></figure>"
                + "<table><caption>Table 1. Counts.</caption><tr><td>moths<td>12</table>");
    assertThat(text.title()).isEqualTo("Moths at lamps");
    assertThat(text.pages().get(0).text())
        .isEqualTo(
            "Moths at lamps\nWe counted. See methods.\nMethods\nAt night.\nFigure 1. Moths.\n"
                + "Table 1. Counts.\nmoths 12");
    assertThat(text.parts())
        .extracting(part -> part.level() + " " + part.kind() + " " + part.title())
        .containsExactly(
            "1 SECTION Moths at lamps",
            "2 SECTION Methods",
            "1 FIGURE Figure 1. Moths.",
            "1 TABLE Table 1. Counts.");
    String methods = text.parts().get(1).anchor();
    assertThat(text.html())
        .contains("<em>counted</em>", "href=\"#" + methods + "\"", "id=\"" + methods + "\"")
        .contains("<path d=\"M0 0L9 9\"")
        .doesNotContain("Contents");
  }

  @DisplayName("Nothing that acts, asks, fetches, covers the page or takes its names gets through")
  @ParameterizedTest
  @ValueSource(
      strings = {
        "<script>alert(1)</script>",
        "<p onclick=alert(1)>x",
        "<a href='javascript:alert(1)'>x</a>",
        "<a href='data:text/html,x'>x</a>",
        "<img src=x onerror=alert(1)>",
        "<img src='http://tracker.example/a.gif'>",
        "<img src='data:image/svg+xml;base64,PHN2Zz4='>",
        "<svg><script>alert(1)</script></svg>",
        "<svg><use href='http://x.example/#a'/><image href='http://x.example/a.png'/></svg>",
        "<svg><foreignObject><iframe src=//x.example></iframe></foreignObject></svg>",
        "<svg><animate attributeName=href values=javascript:alert(1) /></svg>",
        "<svg><title><style><img src=x onerror=alert(1)></style></title></svg>",
        "<math><mtext><table><mglyph><style><!--</style><img title='--><img src=1 onerror=alert(1)>'>",
        "<svg><path fill='url(http://x.example/a)' style='background:url(//x)'/></svg>",
        "<style>body{display:none}</style><p style='position:fixed' class='modal'>x",
        "<form action=//x.example><input name=password><button>x</button></form>",
        "<iframe src=//x.example></iframe><object data=x></object><embed src=x>",
        "<base href=//x.example><meta http-equiv=refresh content='0;url=//x.example'>",
        "<link rel=stylesheet href=//x.example>",
        "<p id=root><p id=ways><a name=x>",
        "<noscript><p title='</noscript><img src=x onerror=alert(1)>'>"
      })
  void cleans(String hostile) throws Exception {
    String html = take("<p>before</p>" + hostile + "<p>after</p>").html();
    // As a browser would read it again.
    var read = Jsoup.parse(html);
    assertThat(read.select("script, style, iframe, object, embed, form, input, button, base, meta"))
        .isEmpty();
    assertThat(
            read.select("body [class], [style], [onclick], [onerror], [src], use, image, animate"))
        .isEmpty();
    assertThat(read.select("foreignObject, math, noscript, title[style]")).isEmpty();
    assertThat(read.select("[id]").eachAttr("id")).allMatch(id -> id.startsWith("t-"));
    assertThat(read.select("a[href]").eachAttr("href")).noneMatch(at -> at.contains("script"));
    assertThat(html).doesNotContain("javascript:", "x.example/a", "tracker");
    assertThat(read.text()).contains("before");
  }

  @Test
  void aPictureInsideThePageStays() throws Exception {
    assertThat(take("<img alt=moth src='data:image/png;base64,iVBORw0KGgo='>").html())
        .contains("alt=\"moth\"");
  }

  @Test
  void whatIsTooMuchIsSaid() {
    assertThatThrownBy(() -> take("<div>".repeat(300) + "x"))
        .hasMessage("The page is nested too deeply to be shown.");
    String rows = "<table>" + "<tr><td>1<td>2".repeat(400_000);
    assertThatThrownBy(() -> take(rows)).hasMessageContaining("up to 8,000,000 can be read here");
  }
}
