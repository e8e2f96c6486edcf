package org.quietlantern.server.alert;

import java.time.YearMonth;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.quietlantern.core.review.Agreement;
import org.quietlantern.core.review.Apart;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.review.ReadersApart;
import org.springframework.stereotype.Service;

/** How far those agree who decided apart on what an alert found. */
@Service
class AlertAgreement {
  private final Alerts alerts;
  private final ReadersApart apart;
  private final Groups groups;

  /**
   * A figure with its interval of 95 %.
   *
   * @param value none where it is not defined; {@code low} and {@code high} likewise
   * @param works that it is of
   * @param doubt {@code none}, {@code few}, {@code one verdict} or {@code nothing shared}
   */
  record FigureShown(
      @Nullable Double value,
      int works,
      @Nullable Double low,
      @Nullable Double high,
      String doubt) {
    static FigureShown of(Agreement.Figure figure) {
      return new FigureShown(
          number(figure.value()),
          figure.works(),
          number(figure.low()),
          number(figure.high()),
          figure.doubt().word());
    }

    private static @Nullable Double number(double value) {
      return Double.isNaN(value) ? null : value;
    }
  }

  /**
   * Two readers.
   *
   * @param percent the share of works on which they said the same, with Wilson's interval
   * @param kappa Cohen's
   */
  record OfPair(String one, String other, FigureShown percent, FigureShown kappa) {}

  /** Works opened in a month of the group's zone, and on how many all said the same. */
  record OfMonth(YearMonth month, int works, int agreed) {}

  /**
   * How far readers agree.
   *
   * @param opened works that were decided on apart
   * @param counted of those, works on which exactly as many as were asked for decided, all apart
   * @param inTheOpen left out: somebody had decided where others could read it
   * @param agreed counted works on which all said the same
   * @param fleiss Fleiss' kappa of all readers
   * @param ac1 Gwet's, which holds where nearly all verdicts are the same
   * @param pairs of readers who both decided on something
   * @param months those with counted works, the first first
   */
  record AgreementShown(
      int opened,
      int counted,
      int inTheOpen,
      int agreed,
      FigureShown fleiss,
      FigureShown ac1,
      List<OfPair> pairs,
      List<OfMonth> months) {}

  AlertAgreement(Alerts alerts, ReadersApart apart, Groups groups) {
    this.alerts = alerts;
    this.apart = apart;
    this.groups = groups;
  }

  AgreementShown of(Member who, String alert) {
    List<ReadersApart.Decided> opened = apart.decided(who.group(), alerts.id(who, alert));
    List<ReadersApart.Decided> counted = telling(opened, Apart.Tells.COUNTS);
    List<Agreement.Judged> judged = counted.stream().map(AlertAgreement::judged).toList();
    return new AgreementShown(
        opened.size(),
        counted.size(),
        telling(opened, Apart.Tells.IN_THE_OPEN).size(),
        (int) judged.stream().filter(Agreement.Judged::isAgreed).count(),
        FigureShown.of(Agreement.fleiss(judged)),
        FigureShown.of(Agreement.ac1(judged)),
        pairs(judged, groups.names(who.group())),
        months(counted, who.zoneId()));
  }

  private static List<ReadersApart.Decided> telling(
      List<ReadersApart.Decided> opened, Apart.Tells what) {
    return opened.stream().filter(one -> Apart.tells(one.said(), one.asked()) == what).toList();
  }

  private static Agreement.Judged judged(ReadersApart.Decided one) {
    return new Agreement.Judged(
        one.said().stream()
            .filter(said -> said.mark().isVerdict())
            .collect(Collectors.toMap(Apart.Verdict::member, said -> said.mark().word())));
  }

  private static List<OfPair> pairs(List<Agreement.Judged> judged, Map<Integer, String> names) {
    List<Integer> readers =
        judged.stream().flatMap(one -> one.by().keySet().stream()).distinct().sorted().toList();
    List<OfPair> pairs = new ArrayList<>();
    for (int one : readers) {
      for (int other : readers.subList(readers.indexOf(one) + 1, readers.size())) {
        Agreement.Figure percent = Agreement.percent(judged, one, other);
        if (percent.works() > 0) {
          pairs.add(
              new OfPair(
                  names.getOrDefault(one, "A former member"),
                  names.getOrDefault(other, "A former member"),
                  FigureShown.of(percent),
                  FigureShown.of(Agreement.cohen(judged, one, other))));
        }
      }
    }
    return pairs;
  }

  private static List<OfMonth> months(List<ReadersApart.Decided> counted, ZoneId zone) {
    return counted.stream()
        .collect(
            Collectors.groupingBy(
                one -> YearMonth.from(one.at().atZone(zone)), TreeMap::new, Collectors.toList()))
        .entrySet()
        .stream()
        .map(
            month ->
                new OfMonth(
                    month.getKey(),
                    month.getValue().size(),
                    (int) month.getValue().stream().filter(one -> judged(one).isAgreed()).count()))
        .toList();
  }
}
