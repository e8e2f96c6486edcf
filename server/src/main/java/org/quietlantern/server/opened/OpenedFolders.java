package org.quietlantern.server.opened;

import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.quietlantern.core.citation.PlainCitation;
import org.quietlantern.core.citation.file.BibliographyFile;
import org.quietlantern.core.citation.file.BibliographyHtml;
import org.quietlantern.server.bibliography.Bibliographies;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.StoredPublication;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.citing.StyleChoice;
import org.quietlantern.server.feed.FeedPage;
import org.quietlantern.server.folder.FolderReading;
import org.quietlantern.server.link.PublicPage;
import org.quietlantern.server.mending.Mends;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.LanternProperties;
import org.quietlantern.server.platform.Page;
import org.quietlantern.server.platform.Refusal;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * What whoever has the address of a folder reads: citations, kept last first. Who kept what and
 * why, what was said, the group and its members are told to nobody.
 */
@Service
@Transactional(readOnly = true)
class OpenedFolders {
  private static final int A_PAGE = 100;
  private final FolderLinkMapper mapper;
  private final FolderLinkAddresses addresses;
  private final Publications publications;
  private final Mends mends;
  private final Bibliographies bibliographies;
  private final FolderReading folders;
  private final Calendar calendar;
  private final LanternProperties properties;

  OpenedFolders(
      FolderLinkMapper mapper,
      FolderLinkAddresses addresses,
      Publications publications,
      Mends mends,
      Bibliographies bibliographies,
      FolderReading folders,
      Calendar calendar,
      LanternProperties properties) {
    this.mapper = mapper;
    this.addresses = addresses;
    this.publications = publications;
    this.mends = mends;
    this.bibliographies = bibliographies;
    this.folders = folders;
    this.calendar = calendar;
    this.properties = properties;
  }

  /**
   * A page of a folder.
   *
   * @param open row numbers of what anybody may look at; what the group alone has is cited, and has
   *     no page of its own
   * @param next the item to go on behind, 0 on the last page
   */
  private record Read(
      FolderLinkMapper.Row link,
      List<FolderLinkMapper.Told> told,
      Map<Integer, StoredPublication> stored,
      Map<Integer, List<Mends.Mended>> mended,
      Set<Integer> open,
      int next) {}

  private FolderLinkMapper.Row link(String pid, String secret) {
    FolderLinkMapper.Row link = mapper.byPid(pid);
    if (link == null || !addresses.isRight(pid, secret)) {
      throw Refusal.unknown();
    }
    if (link.revoked() != null || link.ended()) {
      throw new Refusal(HttpStatus.GONE, "revoked", "This address was revoked.");
    }
    return link;
  }

  /** All of it as it is cited, below its headings. */
  PublicPage.BibliographyShown bibliography(String pid, String secret) {
    FolderLinkMapper.Row link = link(pid, secret);
    BibliographyFile file =
        bibliographies.opened(
            link.grp(),
            new StyleChoice(link.style(), link.language()),
            folders.opened(link.folder(), link.folderName()),
            link.annotated(),
            calendar.today(ZoneId.of(link.zone())));
    return new PublicPage.BibliographyShown(
        file.title(), file.stated(), BibliographyHtml.forPage(file), addresses.page(pid));
  }

  /** 404 for an address that nobody was given, 410 for one that was revoked. */
  private Read read(String pid, String secret, int before) {
    FolderLinkMapper.Row link = link(pid, secret);
    Page<FolderLinkMapper.Told> page =
        Page.of(mapper.told(link.folder(), before, A_PAGE + 1), A_PAGE);
    Map<Integer, StoredPublication> stored =
        publications
            .byId(
                new Viewer(link.grp()),
                page.rows().stream().map(FolderLinkMapper.Told::publication).toList())
            .stream()
            .collect(Collectors.toMap(StoredPublication::id, Function.identity()));
    Set<Integer> open =
        publications.byId(Viewer.NOBODY, stored.keySet()).stream()
            .map(StoredPublication::id)
            .collect(Collectors.toSet());
    Map<Integer, List<Mends.Mended>> mended = mends.of(link.grp(), stored.keySet());
    return new Read(link, page.rows(), stored, mended, open, page.more() ? page.last().id() : 0);
  }

  PublicPage.FolderShown page(String pid, String secret, int before) {
    Read read = read(pid, secret, before);
    String address = addresses.page(pid);
    return new PublicPage.FolderShown(
        read.link().folderName(),
        addresses.feed(pid),
        addresses.bibliography(pid),
        counted(mapper.count(read.link().folder())),
        read.told().stream()
            .map(told -> read.stored().get(told.publication()))
            .map(
                stored ->
                    new PublicPage.CitationShown(
                        PlainCitation.of(Mends.read(stored, read.mended())),
                        read.open().contains(stored.id())
                            ? List.of(properties.stableLink(stored.pid()))
                            : List.of()))
            .toList(),
        before == 0 ? List.of() : List.of(address),
        read.next() == 0 ? List.of() : List.of(address + "?before=" + read.next()));
  }

  private static String counted(int publications) {
    return publications == 1 ? "One publication" : publications + " publications";
  }

  FeedPage feed(String pid, String secret, int before) {
    Read read = read(pid, secret, before);
    String address = addresses.feed(pid);
    String installation = calendar.installation().toString();
    Instant updated =
        read.told().stream()
            .map(OpenedFolders::updated)
            .max(Instant::compareTo)
            .orElse(read.link().at());
    return new FeedPage(
        FeedPage.id(installation, "folder-link:" + pid),
        read.link().folderName(),
        "What is kept in this folder, the latest first",
        "Quiet Lantern",
        new FeedPage.Place(
            before == 0 ? address : address + "?before=" + before,
            address,
            read.next() == 0 ? null : address + "?before=" + read.next(),
            null),
        addresses.page(pid),
        updated,
        read.told().stream().map(told -> entry(installation, read, told)).toList());
  }

  private FeedPage.Entry entry(String installation, Read read, FolderLinkMapper.Told told) {
    StoredPublication stored = read.stored().get(told.publication());
    return FeedPage.Entry.of(
        FeedPage.id(installation, "folder-link:" + read.link().pid() + ":" + told.publication()),
        Mends.read(stored, read.mended()),
        "",
        read.open().contains(stored.id())
            ? properties.stableLink(stored.pid())
            : addresses.page(read.link().pid()),
        null,
        "",
        told.at(),
        updated(told));
  }

  private static Instant updated(FolderLinkMapper.Told told) {
    boolean later = told.changed() != null && told.changed().isAfter(told.at());
    return later ? told.changed() : told.at();
  }
}
