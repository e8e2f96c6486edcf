package org.quietlantern.core.report;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.StringReader;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.quietlantern.core.review.Fate;
import org.xml.sax.InputSource;

class FlowTest {
  private static final Map<String, String> NAMES = new LinkedHashMap<>();

  static {
    NAMES.put("night", "The Night Index");
    NAMES.put("fields", "Fields & <Roads>");
    NAMES.put("nothing", "Brings nothing");
  }

  /** A heap of works in every state that there is, some with reasons that nobody would draw. */
  private static List<Flow.Work> heap(Random random, int size) {
    List<String> reasons = List.of("", "no data", "a < b & \u0001", "x".repeat(4000));
    return IntStream.range(0, size)
        .mapToObj(
            n -> {
              List<Fate.End> ends = List.of(Fate.End.values());
              Fate.End end = ends.get(random.nextInt(ends.size()));
              String why =
                  switch (end) {
                    case PASSED ->
                        random.nextBoolean()
                            ? reasons.get(random.nextInt(reasons.size()))
                            : "reason " + random.nextInt(30);
                    case OPEN -> random.nextBoolean() ? Fate.RAISED : Fate.ON_HOLD;
                    default -> "";
                  };
              Set<String> sources =
                  Set.of(
                          Set.of("night"),
                          Set.of("night", "fields"),
                          Set.of("gone"),
                          Set.<String>of())
                      .stream()
                      .skip(random.nextInt(4))
                      .findFirst()
                      .orElseThrow();
              return new Flow.Work(n, sources, new Fate(end, why), random.nextBoolean());
            })
        .toList();
  }

  @DisplayName("Numbers add up whatever comes, and each is that of the works it leads to")
  @Test
  void addsUp() {
    for (int seed = 0; seed < 50; seed++) {
      List<Flow.Work> works = heap(new Random(seed), seed * 3);
      Flow flow = Flow.of(works, NAMES);
      Map<String, Integer> n =
          flow.boxes().stream().collect(Collectors.toMap(Flow.FlowStep::key, Flow.FlowStep::n));
      assertThat(n.get("found") - n.get("joined")).isEqualTo(n.get("came")).isEqualTo(works.size());
      assertThat(n.get("came") - n.get("nobody")).isEqualTo(n.get("reviewed"));
      assertThat(n.get("reviewed") - n.get("passed") - n.get("open")).isEqualTo(n.get("kept"));
      assertThat(n.get("kept") - n.get("unread")).isEqualTo(n.get("text"));
      for (Flow.FlowStep box : flow.boxes()) {
        if (!box.parts().isEmpty()) {
          assertThat(box.parts().stream().mapToInt(Flow.FlowPart::n).sum()).isEqualTo(box.n());
        }
        if (!box.key().equals("found") && !box.key().equals("joined")) {
          assertThat(counted(works, box.key())).as(box.key()).isEqualTo(box.n());
        }
        for (Flow.FlowPart part : box.parts()) {
          if (!part.key().equals("source:gone")) {
            assertThat(part.n()).isPositive();
          }
          assertThat(counted(works, part.key())).as(part.key()).isEqualTo(part.n());
        }
      }
    }
    assertThat(counted(heap(new Random(1), 20), "whatever")).isZero();
  }

  private static int counted(List<Flow.Work> works, String key) {
    return (int) works.stream().filter(Flow.counts(key)).count();
  }

  @DisplayName("It is drawn as XML that holds, nothing over anything else, long reasons shortened")
  @Test
  void drawn() throws Exception {
    Flow flow = Flow.of(heap(new Random(7), 400), NAMES);
    FlowDrawing drawing = FlowDrawing.of(flow);
    for (FlowDrawing.DrawnBox one : drawing.boxes()) {
      assertThat(one.y() + one.height()).isLessThanOrEqualTo(drawing.height());
      assertThat(one.x() + one.width()).isLessThanOrEqualTo(drawing.width());
      assertThat(one.lines()).hasSizeLessThanOrEqualTo(13);
      assertThat(one.lines()).allSatisfy(line -> assertThat(line.text()).hasSizeLessThan(45));
      for (FlowDrawing.DrawnBox other : drawing.boxes()) {
        assertThat(
                one.equals(other)
                    || one.x() != other.x()
                    || one.y() + one.height() < other.y()
                    || other.y() + other.height() < one.y())
            .isTrue();
      }
    }
    String svg = drawing.svg("Bats & <verges>");
    DocumentBuilderFactory.newInstance()
        .newDocumentBuilder()
        .parse(new InputSource(new StringReader(svg)));
    assertThat(svg).contains("Bats &amp; &lt;verges&gt;", "Fields &amp; &lt;Roads&gt;", "others");
  }

  @DisplayName("Written down it has every number, and names only where they are given")
  @Test
  void written() {
    Flow flow = Flow.of(heap(new Random(3), 60), NAMES);
    String told =
        text(new FlowReport("Flow", "Made.", List.of(), flow, List.of(), "https://here.example"));
    for (Flow.FlowStep box : flow.boxes()) {
      assertThat(told).contains(box.label());
    }
    assertThat(told).contains("No alert brought anything.").doesNotContain("Who reviewed");
    List<List<String>> who = List.of(List.of("Ilse", "3", "1", "2"));
    assertThat(text(new FlowReport("Flow", "Made.", List.of(), flow, who, "")))
        .contains("Who reviewed", "Ilse");
  }

  private static String text(FlowReport report) {
    return TextWriter.write(report.document());
  }
}
