package org.quietlantern.server.request;

import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.quietlantern.core.holdings.Lender;
import org.quietlantern.core.holdings.Ways;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.core.text.Wait;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.StoredPublication;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.holdings.Lenders;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Refusal;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Which libraries can be asked for a work, the one that is asked unless somebody wants another
 * first.
 */
@Service
@Transactional(readOnly = true)
public class LenderOffers {
  private final RequestMapper mapper;
  private final Lenders lenders;
  private final Publications publications;

  /**
   * A library that takes requests for a work.
   *
   * @param name empty where nobody said who it is
   * @param byHand whether members carry requests there and say how they stand
   * @param cost of a copy, in words; empty where nobody says
   * @param usual how long deliveries took so far, in words; absent where none came yet
   * @param inVain whether it was asked for the work before and no copy came
   */
  public record LenderOffer(
      String name, boolean byHand, String cost, @Nullable String usual, boolean inVain) {}

  LenderOffers(RequestMapper mapper, Lenders lenders, Publications publications) {
    this.mapper = mapper;
    this.lenders = lenders;
    this.publications = publications;
  }

  List<LenderOffer> of(Member who, String pid) {
    StoredPublication stored = publications.get(Viewer.of(who), pid);
    return of(who, stored.publication(), inVain(who, stored));
  }

  /** The one that is asked; {@code wanted}: by its name, absent: the first. */
  String chosen(Member who, StoredPublication stored, @Nullable String wanted) {
    return chosen(of(who, stored.publication(), inVain(who, stored)), wanted);
  }

  /** For a work that is not in the catalogue. */
  public String chosen(Member who, Publication described) {
    return chosen(of(who, described, List.of()), null);
  }

  private static String chosen(List<LenderOffer> offers, @Nullable String wanted) {
    List<String> names = offers.stream().map(LenderOffer::name).toList();
    if (wanted != null && !names.contains(wanted)) {
      throw Refusal.unusable("lender", "This library does not lend it to your group.");
    }
    return wanted == null ? names.stream().findFirst().orElse("") : wanted;
  }

  private List<String> inVain(Member who, StoredPublication stored) {
    return mapper.inVain(who.group(), publications.withParts(stored));
  }

  private List<LenderOffer> of(Member who, Publication work, List<String> inVain) {
    Ways.Asked asked = StoredPublication.asked(work);
    Map<String, Wait> waits = waits(who);
    return lenders.of(who.group()).stream()
        .filter(lender -> Lender.of(asked, List.of(lender.rule())).isPresent())
        .map(
            lender ->
                new LenderOffer(
                    lender.rule().name(),
                    lender.isByHand(),
                    lender.cost() == null ? "" : lender.cost(),
                    spoken(waits.get(lender.rule().name())),
                    inVain.contains(lender.rule().name())))
        .sorted(Comparator.comparing(LenderOffer::inVain))
        .toList();
  }

  private static @Nullable String spoken(@Nullable Wait wait) {
    return wait == null ? null : wait.spoken();
  }

  /** How long deliveries to the group took, by the name of the library. */
  public Map<String, Wait> waits(Member who) {
    Map<String, List<Integer>> took =
        mapper.waits(who.group(), who.zone()).stream()
            .collect(
                Collectors.groupingBy(
                    RequestMapper.Took::lender,
                    LinkedHashMap::new,
                    Collectors.mapping(RequestMapper.Took::days, Collectors.toList())));
    Map<String, Wait> waits = new LinkedHashMap<>();
    took.forEach((name, days) -> Wait.of(days).ifPresent(wait -> waits.put(name, wait)));
    return waits;
  }
}
