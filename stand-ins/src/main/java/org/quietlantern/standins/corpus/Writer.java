package org.quietlantern.standins.corpus;

import java.util.List;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Writes the title and abstract of one work. */
final class Writer {
  private final Random random;
  private final Words.Subject subject;
  private final Words.Light light;
  private final Words.Response response;
  private final String habitat;
  private final String place;
  private final String design;
  private final boolean better;
  private final int change;

  Writer(Random random) {
    this.random = random;
    this.subject = pick(Words.SUBJECTS);
    this.light = pick(Words.LIGHTS);
    this.response =
        pick(Words.RESPONSES.stream().filter(r -> r.ofPlants() == subject.plant()).toList());
    this.habitat = pick(Words.HABITATS);
    this.place = pick(Words.PLACES);
    this.design = pick(Words.DESIGNS);
    this.better = random.nextInt(3) > 0;
    this.change = 8 + random.nextInt(58);
  }

  Words.Subject subject() {
    return subject;
  }

  Words.Light light() {
    return light;
  }

  Words.Response response() {
    return response;
  }

  String title(String kind) {
    if (kind.equals("review")) {
      return capital(
          pick(
              List.of(
                  light.title() + " and " + subject.title() + ": a systematic map",
                  "What is known of "
                      + lower(light.title())
                      + " and "
                      + response.title()
                      + " in "
                      + subject.title(),
                  "Two decades of work on "
                      + lower(light.title())
                      + ": gaps for "
                      + subject.title())));
    }
    String lights = lower(light.title());
    String who = subject.title();
    String measured = response.title();
    String changed = better ? "higher " : "lower ";
    return capital(
        pick(
            List.of(
                light.title() + " and " + measured + " of " + who + " at " + habitat,
                changed + measured + " of " + who + " with " + lights + " at " + habitat,
                "Can " + lights + " change " + measured + " of " + who + "?",
                measured + " of " + who + " under " + lights + " in " + place,
                who + " at " + habitat + ": how far is the reach of " + lights + "?",
                "Lit and unlit " + habitat + " compared: " + measured + " of " + who,
                "A cheap way to record " + measured + " of " + who + " near lamps",
                light.title() + " at " + habitat + ", and what " + who + " make of it",
                "Seasons matter: " + measured + " of " + who + " and " + lights,
                "No simple threshold: " + lights + ", " + measured + " and " + who,
                "Before and after " + lights + ": " + who + " at " + habitat + " in " + place,
                "Darker nights, more " + who + "? Evidence from " + habitat + " in " + place)));
  }

  String summary() {
    return Stream.of(opening(), aim(), method(), result(), qualification(), closing())
        .map(Writer::capital)
        .collect(Collectors.joining(" "));
  }

  private String opening() {
    return pick(
        List.of(
            habitat
                + " are among the last unlit corridors in "
                + place
                + ", and most of them border a lamp.",
            "Outdoor lighting has spread along "
                + habitat
                + " faster than its effects were studied.",
            "How "
                + subject.plural()
                + " respond to "
                + light.running()
                + " is mostly inferred from laboratory work.",
            "Municipalities choose "
                + light.running()
                + " to save energy; what it does for "
                + subject.plural()
                + " is rarely asked.",
            "Reports on "
                + response.running()
                + " of "
                + subject.plural()
                + " near lamps contradict each other.",
            "The night sky over "
                + habitat
                + " in "
                + place
                + " has brightened by about "
                + (2 + random.nextInt(7))
                + " % a year."));
  }

  private String aim() {
    return pick(
        List.of(
            "we asked whether "
                + light.running()
                + " alters "
                + response.running()
                + " of "
                + subject.plural()
                + ".",
            "here we test if "
                + response.running()
                + " depends on distance from the nearest luminaire.",
            "our aim was to separate the effect of light from that of traffic on "
                + subject.plural()
                + ".",
            "this study follows "
                + response.running()
                + " of "
                + subject.plural()
                + " through "
                + (2 + random.nextInt(4))
                + " seasons.",
            "we set out to repeat an earlier trial with more sites and a control for moonlight."));
  }

  private String method() {
    int sites = 6 + random.nextInt(44);
    return pick(
        List.of(
            "using "
                + design
                + ", we sampled "
                + sites
                + " sites on "
                + habitat
                + " in "
                + place
                + ".",
            sites
                + " lamps were altered and "
                + (sites + random.nextInt(9))
                + " left as they were; "
                + design
                + " gave the counts.",
            "observers visited "
                + sites
                + " plots of "
                + habitat
                + " from dusk to dawn, with "
                + design
                + ".",
            "with "
                + design
                + " we compared "
                + sites
                + " lit and "
                + sites
                + " dark stretches of "
                + habitat
                + ".",
            "data come from "
                + sites
                + " stations in "
                + place
                + ", collected by "
                + design
                + " over "
                + (30 + random.nextInt(200))
                + " nights."));
  }

  private String result() {
    int low = Math.max(1, change - 5 - random.nextInt(12));
    int high = change + 5 + random.nextInt(20);
    String moved = better ? "rose" : "fell";
    return pick(
        List.of(
            response.running()
                + " "
                + moved
                + " by "
                + change
                + " % (95 % interval "
                + low
                + " to "
                + high
                + ").",
            "compared with dark controls, "
                + subject.plural()
                + " showed a difference in "
                + response.running()
                + " of "
                + change
                + " %.",
            "the effect on "
                + response.running()
                + " was clear within "
                + (10 + random.nextInt(60))
                + " m of a lamp and absent beyond.",
            "we found "
                + response.running()
                + " "
                + (better ? "higher" : "lower")
                + " at "
                + (4 + random.nextInt(20))
                + " of the sites, most of all in late summer.",
            "on nights without moon "
                + response.running()
                + " "
                + moved
                + " most, by "
                + change
                + " %."));
  }

  private String qualification() {
    return pick(
        List.of(
            "temperature explained more of the variance than light did.",
            "the response was slower in the second year and did not reach that of unlit sites.",
            "species with large eyes drove the result; small ones did not change.",
            "neither lamp height nor colour temperature changed the outcome.",
            "a third of the sites showed no response, all of them close to a main road.",
            "rain reduced catches on a fifth of the nights, which we allowed for.",
            "the shift was strongest in the first two hours after sunset.",
            "females and males differed: only "
                + pick(List.of("females", "males"))
                + " responded."));
  }

  private String closing() {
    return pick(
        List.of(
            "planners who light "
                + habitat
                + " can expect a measurable gain from "
                + light.running()
                + ".",
            "we conclude that output matters more than spectrum for " + subject.plural() + ".",
            "lighting plans should leave at least one dark route for " + subject.plural() + ".",
            "whether the gain lasts beyond " + (2 + random.nextInt(5)) + " years remains open.",
            "the data and the design of the loggers are shared for others to repeat the test.",
            "until replicated, the result should not be carried over to other " + habitat + "."));
  }

  private <T> T pick(List<T> from) {
    return from.get(random.nextInt(from.size()));
  }

  private static String lower(String title) {
    boolean acronym = title.length() > 1 && Character.isUpperCase(title.charAt(1));
    return acronym
        ? title
        : title.substring(0, 1).toLowerCase(java.util.Locale.ROOT) + title.substring(1);
  }

  private static String capital(String sentence) {
    return sentence.substring(0, 1).toUpperCase(java.util.Locale.ROOT) + sentence.substring(1);
  }
}
