package org.quietlantern.server.request;

import java.io.IOException;
import java.time.Duration;
import java.util.List;
import org.quietlantern.core.publication.Text;
import org.quietlantern.core.text.OpenUrl;
import org.quietlantern.core.text.RequestState;
import org.quietlantern.server.action.Commands;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.StoredPublication;
import org.quietlantern.server.holdings.Lenders;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.LanternProperties;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Outbound;
import org.quietlantern.server.platform.SystemTime;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * One step of a request. The library is spoken with outside of any transaction; what it said is
 * written down only if the request still stands as it did.
 */
@Component
class RequestSteps {
  private static final Logger LOG = LoggerFactory.getLogger(RequestSteps.class);
  private static final Duration SOON = Duration.ofMinutes(10);
  private final RequestMapper mapper;
  private final Lending lending;
  private final Lenders lenders;
  private final DeliveredCopies copies;
  private final RequestSubjects subjects;
  private final Publications publications;
  private final Commands commands;
  private final LanternProperties properties;
  private final Calendar calendar;
  private final SystemTime system;
  private final TransactionTemplate transactions;

  RequestSteps(
      RequestMapper mapper,
      Lending lending,
      Lenders lenders,
      DeliveredCopies copies,
      RequestSubjects subjects,
      Publications publications,
      Commands commands,
      LanternProperties properties,
      Calendar calendar,
      SystemTime system,
      TransactionTemplate transactions) {
    this.mapper = mapper;
    this.lending = lending;
    this.lenders = lenders;
    this.copies = copies;
    this.subjects = subjects;
    this.publications = publications;
    this.commands = commands;
    this.properties = properties;
    this.calendar = calendar;
    this.system = system;
    this.transactions = transactions;
  }

  void step(int id) {
    RequestMapper.Row row = mapper.get(id);
    try {
      if (row.state().equals(RequestState.DELIVERED.word())) {
        take(row);
      } else {
        write(row, speak(row));
        take(mapper.get(id));
      }
      mapper.looked(id, calendar.now(), system.now());
    } catch (Outbound.Closing stopping) {
      LOG.debug("request {} goes on after the next start", row.pid());
    } catch (IOException | IllegalArgumentException failed) {
      LOG.info("request {} comes no further: {}", row.pid(), failed.getMessage());
      mapper.trouble(id, Text.atMost(300, String.valueOf(failed.getMessage())));
      mapper.looked(id, calendar.now(), system.now().plus(SOON));
    }
  }

  private Lending.Told speak(RequestMapper.Row row) throws IOException {
    if (row.state().equals(RequestState.ASKED.word())) {
      return lending.ask(lenders.address(row.grp(), row.lender()), form(row));
    }
    return row.toTell() == null
        ? lending.look(row.reference())
        : lending.ask(row.reference(), "answer=" + OpenUrl.encoded(row.toTell()));
  }

  private String form(RequestMapper.Row row) {
    return described(row)
        + "&req_id="
        + OpenUrl.encoded("urn:quietlantern:request:" + row.pid())
        + (row.note().isEmpty() ? "" : "&note=" + OpenUrl.encoded(row.note()));
  }

  private String described(RequestMapper.Row row) {
    if (row.publication() == null) {
      return row.described();
    }
    StoredPublication stored = publications.ofAnybody(List.of(row.publication())).get(0);
    return OpenUrl.of(stored.publication(), properties.stableLink(stored.pid()));
  }

  private void write(RequestMapper.Row row, Lending.Told told) throws IOException {
    RequestState state =
        switch (told.state()) {
          case "received" -> RequestState.SENT;
          case "asks" -> RequestState.ASKED_BACK;
          case "sent" -> RequestState.DELIVERED;
          case "refused" -> RequestState.REFUSED;
          default -> throw new IOException("the library says “" + told.state() + "”");
        };
    RequestMapper.Said said =
        new RequestMapper.Said(
            row.id(),
            row.state(),
            row.toTell(),
            state.word(),
            told.request(),
            known(told.question()),
            known(told.reason()),
            known(told.link()),
            told.until(),
            state.isOpen() ? null : calendar.now(),
            told.use(),
            told.kept());
    transactions.executeWithoutResult(
        status -> {
          if (mapper.said(said) > 0 && !said.state().equals(row.state())) {
            tell(row, state);
          }
        });
  }

  /** What was delivered is fetched while it is there; what is not here by then is gone. */
  private void take(RequestMapper.Row row) throws IOException {
    if (!row.state().equals(RequestState.DELIVERED.word()) || row.text() != null) {
      return;
    }
    if (row.until() != null && row.until().isBefore(calendar.now())) {
      expire(row);
    } else if (row.kept() && row.link() != null && row.publication() != null) {
      mapper.here(row.id(), copies.keep(delivered(row, row.link())));
    }
  }

  private DeliveredCopies.Delivered delivered(RequestMapper.Row row, String link) {
    int first = mapper.wanting(new Integer[] {row.id()}).get(0).membership();
    String licence = row.use().isEmpty() ? "a copy for your group alone" : row.use();
    return new DeliveredCopies.Delivered(row.grp(), first, row.publication(), link, licence);
  }

  private void expire(RequestMapper.Row row) {
    String expired = RequestState.EXPIRED.word();
    transactions.executeWithoutResult(
        status -> {
          if (mapper.move(row.id(), row.state(), expired, null, null, row.ended()) > 0) {
            tell(row, RequestState.EXPIRED);
          }
        });
  }

  private static @Nullable String known(String text) {
    return text.isEmpty() ? null : text;
  }

  /** The group sees it among what happened. */
  private void tell(RequestMapper.Row row, RequestState state) {
    commands.note(row.grp(), "request." + state.word().replace(' ', '-'), subjects.of(row));
  }
}
