package org.quietlantern.server.feed;

import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import org.quietlantern.core.watch.Occasion;
import org.quietlantern.server.folder.Folders;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.journal.JournalWorks;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** What a group has: what waits for the member, what was raised, a folder, a journal. */
@Configuration
class GroupFeeds {
  @Bean
  FeedSource unreviewedFeed(GroupFeedMapper mapper) {
    return new Unreviewed(mapper);
  }

  @Bean
  FeedSource raisedFeed(GroupFeedMapper mapper) {
    return new Raised(mapper);
  }

  @Bean
  FeedSource folderFeed(GroupFeedMapper mapper, Folders folders) {
    return new OfFolder(mapper, folders);
  }

  @Bean
  FeedSource journalFeed(GroupFeedMapper mapper, JournalWorks journals) {
    return new OfJournal(mapper, journals);
  }

  private static FeedSource.Thing thing(
      String says, List<GroupFeedMapper.Row> rows, UnaryOperator<String> key) {
    return new FeedSource.Thing(
        says,
        null,
        rows.stream()
            .map(
                row ->
                    new FeedSource.Told(
                        row.id(),
                        key.apply(row.key()),
                        row.publication(),
                        null,
                        row.why(),
                        row.at(),
                        row.at(),
                        row.changed()))
            .toList());
  }

  /**
   * @param names of those that the member sees
   * @param other what the others are called
   * @param place of each, before its id
   */
  private static Map<String, FeedSource.Named> known(
      List<String> of, Map<String, String> names, String other, String place) {
    return of.stream()
        .collect(
            Collectors.toMap(
                Function.identity(),
                one -> new FeedSource.Named(names.getOrDefault(one, other), place + one)));
  }

  private record Unreviewed(GroupFeedMapper mapper) implements FeedSource.Alone {
    @Override
    public String kind() {
      return "unreviewed";
    }

    @Override
    public Named itself() {
      return new Named("What I have not looked at", "arrivals");
    }

    /** As in feeds of alerts, so that a reader that has both shows it once. */
    @Override
    public Thing read(Member who, String of, int before, int most) {
      return thing(
          "What waits to be reviewed in %s",
          mapper.unreviewed(
              who.group(), who.id(), before, most, Occasion.onlyTold().toArray(String[]::new)),
          key -> "arrival:" + who.group() + ":" + key);
    }
  }

  private record Raised(GroupFeedMapper mapper) implements FeedSource.Alone {
    @Override
    public String kind() {
      return "raised";
    }

    @Override
    public Named itself() {
      return new Named("What is raised", "today");
    }

    @Override
    public Thing read(Member who, String of, int before, int most) {
      return thing(
          "What members of %s bring to the others",
          mapper.raised(who.group(), before, most), key -> "raised:" + who.group() + ":" + key);
    }
  }

  private record OfFolder(GroupFeedMapper mapper, Folders folders) implements FeedSource {
    @Override
    public String kind() {
      return "folder";
    }

    @Override
    public Map<String, Named> named(Member who, List<String> of) {
      return known(of, folders.names(who, of), "a folder that you do not see", "f/");
    }

    @Override
    public Thing read(Member who, String of, int before, int most) {
      return thing(
          "What is kept in this folder of %s, the latest first",
          mapper.kept(folders.id(who, of), before, most), key -> "folder:" + of + ":" + key);
    }
  }

  private record OfJournal(GroupFeedMapper mapper, JournalWorks journals) implements FeedSource {
    @Override
    public String kind() {
      return "journal";
    }

    @Override
    public Map<String, Named> named(Member who, List<String> of) {
      return known(
          of, journals.titles(who, of), "a journal that is not known", "catalogue/journals?j=");
    }

    @Override
    public Thing read(Member who, String of, int before, int most) {
      return thing(
          "What came of this journal, as %s sees it",
          mapper.newest(journals.works(who, of), before, most), key -> "publication:" + key);
    }
  }
}
