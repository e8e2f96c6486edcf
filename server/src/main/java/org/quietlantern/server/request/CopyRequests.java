package org.quietlantern.server.request;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.IntSupplier;
import org.quietlantern.core.holdings.Access;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.core.publication.Text;
import org.quietlantern.core.text.OpenUrl;
import org.quietlantern.core.text.OpenUrlReader;
import org.quietlantern.core.text.RequestState;
import org.quietlantern.server.action.CommandKind;
import org.quietlantern.server.action.CommandKinds;
import org.quietlantern.server.action.CommandResult;
import org.quietlantern.server.action.Commands;
import org.quietlantern.server.action.Subject;
import org.quietlantern.server.address.WayShown;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.StoredPublication;
import org.quietlantern.server.catalogue.Summary;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.matching.Summaries;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Outbound;
import org.quietlantern.server.platform.PublicIds;
import org.quietlantern.server.platform.Refusal;
import org.springframework.stereotype.Service;

/** What members do about copies of texts: ask, join, answer, tell how it stands (rule T2). */
@Service
public class CopyRequests implements CommandKinds {
  private static final int LONGEST_NOTE = 1_000;
  private final CommandKind<Asked, AskedBefore> ask =
      new CommandKind<>("request.ask", Asked.class, AskedBefore.class, this::takeBack);
  private final CommandKind<Told, ToldBefore> tell =
      CommandKind.of("request.tell", Told.class, ToldBefore.class, this::untell);
  private static final CommandKind<Told, CommandKind.Nothing> ANSWER =
      CommandKind.forGood("request.answer", Told.class, "The library has the answer.");
  private static final CommandKind<Told, CommandKind.Nothing> HURRY =
      CommandKind.forGood("request.hurry", Told.class, "The library was asked.");

  private final RequestMapper mapper;
  private final RequestSubjects subjects;
  private final LenderOffers offers;
  private final Publications publications;
  private final Summaries summaries;
  private final Commands commands;
  private final PublicIds ids;
  private final Calendar calendar;

  /**
   * What asking came to.
   *
   * @param joined whether somebody in the group had asked before
   */
  public record Asked(String request, boolean joined, String state) {}

  /** {@code state}: where the request stands now. */
  record Told(String request, String state) {}

  /** For an undo; {@code left}: whether the member had asked for it before. */
  record AskedBefore(int request, boolean wanted) {}

  /** As it stood, and {@code later}: as it stands by the member's word. */
  record ToldBefore(
      int request,
      String state,
      @Nullable String reason,
      @Nullable String link,
      @Nullable Instant ended,
      String later) {}

  CopyRequests(
      RequestMapper mapper,
      RequestSubjects subjects,
      LenderOffers offers,
      Publications publications,
      Summaries summaries,
      Commands commands,
      PublicIds ids,
      Calendar calendar) {
    this.mapper = mapper;
    this.subjects = subjects;
    this.offers = offers;
    this.publications = publications;
    this.summaries = summaries;
    this.commands = commands;
    this.ids = ids;
    this.calendar = calendar;
  }

  /** One that is open in the group already is joined. What can be read is not asked for. */
  public Asked ask(
      Member who, UUID command, String pid, @Nullable String note, @Nullable String lender) {
    String words = words(note);
    return commands.run(
        who,
        command,
        ask,
        () -> {
          StoredPublication stored = publications.get(Viewer.of(who), pid);
          refuseReadable(who, stored);
          return joined(
              who,
              mapper.open(who.group(), publications.withParts(stored), false),
              () -> {
                String asked = offers.chosen(who, stored, lender);
                return mapper.add(
                    new RequestMapper.New(
                        ids.next(), who.group(), stored.id(), null, words, asked, calendar.now()));
              });
        });
  }

  /** The same for a work that is not in the catalogue, as an OpenURL describes it. */
  public Asked askDescribed(Member who, UUID command, String described, @Nullable String note) {
    String words = words(note);
    Publication work =
        OpenUrlReader.read(described)
            .orElseThrow(() -> Refusal.unusable("described", "This link describes no work."))
            .publication();
    String form = OpenUrl.of(work, "");
    return commands.run(
        who,
        command,
        ask,
        () ->
            joined(
                who,
                mapper.openDescribed(who.group(), form),
                () ->
                    mapper.add(
                        new RequestMapper.New(
                            ids.next(),
                            who.group(),
                            null,
                            form,
                            words,
                            offers.chosen(who, work),
                            calendar.now()))));
  }

  /** Notes that the member wrote to the author; joined where somebody in the group did before. */
  public Asked wrote(Member who, UUID command, String pid) {
    return commands.run(
        who,
        command,
        ask,
        () -> {
          StoredPublication stored = publications.get(Viewer.of(who), pid);
          return joined(
              who,
              mapper.open(who.group(), publications.withParts(stored), true),
              () -> mapper.addLetter(ids.next(), who.group(), stored.id(), calendar.now()));
        });
  }

  private static String words(@Nullable String typed) {
    return Text.atMost(LONGEST_NOTE, Text.clean(typed == null ? "" : typed));
  }

  /** {@code open}: one that is joined; none: {@code add} makes one and answers its row number. */
  private CommandResult<Asked, AskedBefore> joined(
      Member who, @Nullable RequestMapper.Row open, IntSupplier add) {
    int id = open == null ? add.getAsInt() : open.id();
    boolean wanted = mapper.join(id, who.id(), calendar.now()) == 0;
    RequestMapper.Row row = mapper.get(id);
    Asked asked = new Asked(row.pid(), open != null, row.state());
    return about(row, CommandResult.of(asked, new AskedBefore(id, wanted)));
  }

  private void refuseReadable(Member who, StoredPublication stored) {
    Summary shown = summaries.of(who, stored);
    boolean readable = Access.isReadable(shown.access());
    WayShown way = shown.way();
    // A preprint that is open is no reason not to want what appeared.
    boolean itself = way != null && List.of("open-copy", "publisher").contains(way.what());
    boolean isHere =
        way != null
            && way.what().equals("here")
            && way.version().equals(stored.publication().version().word());
    if (isHere || (readable && itself)) {
      throw Refusal.conflict(
          "readable",
          "It can be read: %s, %s."
              .formatted(
                  isHere ? way.word() : shown.access(), isHere ? way.ground() : shown.ground()));
    }
  }

  private String takeBack(Member who, UUID command, AskedBefore before) {
    if (before.wanted()) {
      return "";
    }
    mapper.leave(before.request(), who.id());
    boolean nobody = mapper.wanting(new Integer[] {before.request()}).isEmpty();
    if (!nobody || mapper.drop(before.request()) > 0) {
      return "";
    }
    mapper.join(before.request(), who.id(), calendar.now());
    return "The library has it already, so that it goes on.";
  }

  /** What the library wanted to know, or should know besides. */
  Told answer(Member who, UUID command, String request, @Nullable String text) {
    String words = words(text);
    if (words.isEmpty()) {
      throw Refusal.unusable("answer", "The library waits for an answer in words.");
    }
    return commands.run(
        who,
        command,
        ANSWER,
        () -> {
          RequestMapper.Row row = atLibrary(who, request);
          mapper.answer(row.id(), words);
          mapper.hurry(row.id());
          return about(row, CommandKind.done(told(row)));
        });
  }

  /** The library is asked at once how it stands. */
  Told hurry(Member who, UUID command, String request) {
    return commands.run(
        who,
        command,
        HURRY,
        () -> {
          RequestMapper.Row row = find(who, request);
          mapper.hurry(row.id());
          return about(row, CommandKind.done(told(row)));
        });
  }

  /**
   * How it stands, by a member's word; where a library tells it by itself, only that nobody needs
   * it any more.
   */
  Told tell(
      Member who,
      UUID command,
      String request,
      String state,
      @Nullable String reason,
      @Nullable String link) {
    RequestState next =
        RequestState.named(state)
            .filter(s -> s != RequestState.ASKED && s != RequestState.EXPIRED)
            .orElseThrow(() -> Refusal.unusable("state", "A request does not come to this."));
    String where = link == null || link.isBlank() ? null : link.strip();
    if (where != null && !Outbound.isWeb(where)) {
      throw Refusal.unusable("link", "This is no address: https:// and what follows.");
    }
    return commands.run(
        who,
        command,
        tell,
        () -> {
          RequestMapper.Row row = find(who, request);
          boolean open = RequestState.named(row.state()).orElseThrow().isOpen();
          if (!open || (row.reached() && next != RequestState.WITHDRAWN)) {
            throw Refusal.conflict("request", "The request stands at “%s”.".formatted(row.state()));
          }
          String why = words(reason);
          Instant ended = next.isOpen() ? null : calendar.now();
          mapper.move(row.id(), row.state(), next.word(), why.isEmpty() ? null : why, where, ended);
          return about(
              row,
              CommandResult.of(
                  told(row),
                  new ToldBefore(
                      row.id(), row.state(), row.reason(), row.link(), row.ended(), next.word())));
        });
  }

  private String untell(ToldBefore before) {
    return mapper.restore(before) > 0 ? "" : "The request stands elsewhere by now.";
  }

  private <A, B> CommandResult<A, B> about(RequestMapper.Row row, CommandResult<A, B> done) {
    Subject subject = subjects.of(row);
    return done.about(subject.of(), List.of(subject.id()));
  }

  private Told told(RequestMapper.Row row) {
    return new Told(row.pid(), mapper.get(row.id()).state());
  }

  private RequestMapper.Row atLibrary(Member who, String request) {
    RequestMapper.Row row = find(who, request);
    RequestState state = RequestState.named(row.state()).orElseThrow();
    if (state != RequestState.SENT && state != RequestState.ASKED_BACK) {
      throw Refusal.conflict("request", "The request stands at “%s”.".formatted(row.state()));
    }
    return row;
  }

  private RequestMapper.Row find(Member who, String request) {
    return Optional.ofNullable(mapper.find(who.group(), request)).orElseThrow(Refusal::unknown);
  }

  @Override
  public List<CommandKind<?, ?>> kinds() {
    return List.of(ask, tell, ANSWER, HURRY);
  }
}
