package org.quietlantern.server.followed;

import java.io.IOException;
import java.net.URI;
import java.net.URISyntaxException;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.quietlantern.core.newsfeed.FeedListReader;
import org.quietlantern.core.newsfeed.Newsfeed;
import org.quietlantern.core.publication.PartialDate;
import org.quietlantern.core.publication.PersonName;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.core.publication.SameWork;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Outbound;
import org.quietlantern.server.platform.Refusal;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Looks at feeds, and lists of them, before they are followed; nothing is written. */
@Service
class FeedLooking {
  private static final int LONGEST_ADDRESS = 1_000;
  private static final int SHOWN = 10;
  private final FollowedMapper mapper;
  private final FollowedFetching fetching;
  private final Publications publications;

  /**
   * What is at an address.
   *
   * @param address at which it is
   * @param works how many entries are works
   * @param left how many entries are not read: no works, or too many
   * @param here how many of the works are here already
   * @param first the first of them
   * @param followed whether the group follows it already
   */
  record FeedLooked(
      String address,
      String title,
      int works,
      int left,
      int here,
      List<FeedEntryShown> first,
      boolean followed) {}

  /** {@code here}: whether the work is here already. */
  record FeedEntryShown(
      String title, String who, String where, @Nullable String date, boolean here) {}

  /** A list of feeds. {@code left}: how many more it has than are shown. */
  record FeedsListed(List<FeedListed> feeds, int left) {}

  record FeedListed(String title, String address, boolean followed) {}

  FeedLooking(FollowedMapper mapper, FollowedFetching fetching, Publications publications) {
    this.mapper = mapper;
    this.fetching = fetching;
    this.publications = publications;
  }

  /** Fetches what is at an address and says how it would be read; nothing is written. */
  FeedLooked look(Member who, @Nullable String given) {
    URI address = address(given);
    Outbound.Answer<FollowedFetching.Fetched> answer;
    try {
      answer = fetching.fetch(address, null, null);
    } catch (IOException | IllegalArgumentException odd) {
      throw new Refusal(
          HttpStatus.UNPROCESSABLE_CONTENT,
          "no-feed",
          "Nothing can be read there as a feed: " + FollowedFetching.sentence(odd));
    }
    String at = answer.movedTo().orElse(address).toString();
    Newsfeed feed = answer.value().feed();
    if (feed == null) {
      throw new Refusal(
          HttpStatus.UNPROCESSABLE_CONTENT, "no-feed", "It says that nothing changed, to nobody.");
    }
    Set<String> here =
        publications
            .byDoi(
                Viewer.of(who),
                feed.entries().stream()
                    .map(entry -> entry.work().doi())
                    .filter(doi -> !doi.isEmpty())
                    .toList())
            .keySet();
    FollowedMapper.Row row = mapper.at(who.group(), at);
    return new FeedLooked(
        at,
        feed.title(),
        feed.entries().size(),
        feed.left() + feed.unread(),
        (int) feed.entries().stream().filter(entry -> isHere(entry, here)).count(),
        feed.entries().stream().limit(SHOWN).map(entry -> shown(entry, here)).toList(),
        row != null && mapper.find(who.group(), row.pid()) != null);
  }

  private static boolean isHere(Newsfeed.Entry entry, Set<String> here) {
    return here.contains(SameWork.doiKey(entry.work().doi()));
  }

  private static FeedEntryShown shown(Newsfeed.Entry entry, Set<String> here) {
    Publication work = entry.work();
    return new FeedEntryShown(
        work.title(),
        work.authors().stream().map(PersonName::spoken).collect(Collectors.joining(", ")),
        work.host().title(),
        work.date().map(PartialDate::toString).orElse(null),
        isHere(entry, here));
  }

  /** What a list of feeds has in it (OPML); nothing is fetched. */
  @Transactional(readOnly = true)
  public FeedsListed listed(Member who, byte[] list) {
    try {
      FeedListReader.FeedList read = FeedListReader.read(list);
      Set<String> followed =
          mapper.lines(who.group()).stream()
              .map(FollowedFeeds.FollowedLine::address)
              .collect(Collectors.toSet());
      return new FeedsListed(
          read.feeds().stream()
              .map(
                  one ->
                      new FeedListed(one.title(), one.address(), followed.contains(one.address())))
              .toList(),
          read.left());
    } catch (Newsfeed.Unreadable odd) {
      throw new Refusal(HttpStatus.UNPROCESSABLE_CONTENT, "no-list", odd.getMessage());
    }
  }

  /** An address on the web as somebody typed it; refused where it is none. */
  static URI address(@Nullable String given) {
    String address = given == null ? "" : given.strip();
    try {
      if (Outbound.isWeb(address) && address.length() <= LONGEST_ADDRESS) {
        URI uri = new URI(address);
        return uri.getFragment() == null ? uri : new URI(address.replaceFirst("#.*", ""));
      }
    } catch (URISyntaxException noAddress) {
      // Told below.
    }
    throw Refusal.unusable("address", "A feed has an address on the web: https://…");
  }
}
