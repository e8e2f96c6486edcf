package org.quietlantern.server.feed;

import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.json.JsonMapper;

/** Writes JSON Feed 1.1. */
final class JsonFeedWriter {
  private static final JsonMapper JSON = new JsonMapper();

  private JsonFeedWriter() {}

  static byte[] write(FeedPage feed) {
    Map<String, Object> page = new LinkedHashMap<>();
    page.put("version", "https://jsonfeed.org/version/1.1");
    page.put("title", feed.title());
    page.put("description", feed.subtitle());
    page.put("home_page_url", feed.alternate());
    page.put("feed_url", FeedForm.JSON.of(feed.place().self()));
    if (feed.place().next() != null) {
      page.put("next_url", FeedForm.JSON.of(feed.place().next()));
    }
    page.put("authors", named(List.of(feed.author())));
    page.put("items", feed.entries().stream().map(JsonFeedWriter::item).toList());
    return JSON.writeValueAsString(page).getBytes(StandardCharsets.UTF_8);
  }

  private static Map<String, Object> item(FeedPage.Entry entry) {
    Map<String, Object> item = new LinkedHashMap<>();
    item.put("id", entry.id());
    item.put("url", entry.link());
    if (entry.related() != null) {
      item.put("external_url", entry.related());
    }
    item.put("title", entry.title());
    item.put("content_text", entry.summary());
    item.put("date_published", time(entry.published()));
    item.put("date_modified", time(entry.updated()));
    item.put("authors", named(entry.authors()));
    item.put("tags", entry.categories().stream().map(FeedPage.Category::label).toList());
    return item;
  }

  private static List<Map<String, String>> named(List<String> names) {
    return names.stream().map(name -> Map.of("name", name)).toList();
  }

  /** RFC 3339. */
  private static String time(Instant moment) {
    return moment.truncatedTo(ChronoUnit.SECONDS).toString();
  }
}
