package org.quietlantern.standins.corpus;

import java.util.List;

/** What the made-up literature is about. */
final class Words {
  /** An animal or plant: in titles, in running text, as a heading. */
  record Subject(String title, String plural, String heading, String keyword, boolean plant) {
    Subject(String title, String plural, String heading, String keyword) {
      this(title, plural, heading, keyword, false);
    }
  }

  /** A way of lighting, or of lighting less. */
  record Light(String title, String running, String heading, String keyword) {}

  /** What was measured: in titles, in running text with its verb form, as a heading. */
  record Response(String title, String running, String heading, boolean ofPlants) {}

  static final List<Subject> SUBJECTS =
      List.of(
          new Subject("moths", "moths", "Lepidoptera", "moths"),
          new Subject("noctuid moths", "noctuids", "Noctuidae", "nocturnal Lepidoptera"),
          new Subject("hawkmoths", "hawkmoths", "Sphingidae", "nectar feeding"),
          new Subject("geometrid moths", "geometrids", "Geometridae", "flight-to-light"),
          new Subject("pipistrelle bats", "pipistrelles", "Pipistrellus", "bat activity"),
          new Subject("horseshoe bats", "horseshoe bats", "Rhinolophidae", "commuting routes"),
          new Subject("slow-flying bats", "slow-flying bats", "Chiroptera", "acoustic monitoring"),
          new Subject("glow-worms", "glow-worms", "Lampyridae", "female display"),
          new Subject("ground beetles", "ground beetles", "Carabidae", "pitfall traps"),
          new Subject("caddisflies", "caddisflies", "Trichoptera", "emergence traps"),
          new Subject("orb-web spiders", "orb-web spiders", "Araneidae", "predation"),
          new Subject(
              "nocturnal pollinators",
              "nocturnal pollinators",
              "Pollination, nocturnal",
              "pollen transport"),
          new Subject("wild carrot", "wild carrot plants", "Daucus carota", "fruit set", true),
          new Subject("bramble", "bramble patches", "Rubus", "flower visits", true),
          new Subject("street trees", "street trees", "Trees, urban", "budburst", true),
          new Subject("aphids", "aphids", "Aphididae", "bottom-up effects"),
          new Subject("mayflies", "mayflies", "Ephemeroptera", "polarised light"),
          new Subject("wood mice", "wood mice", "Apodemus", "foraging"));

  static final List<Light> LIGHTS =
      List.of(
          new Light("Part-night lighting", "part-night lighting", "Part-night lighting", "curfew"),
          new Light(
              "Dimming",
              "dimming of the lamps to a third of their output",
              "Street lighting, dimming of",
              "dimming"),
          new Light("Amber LEDs", "amber light-emitting diodes", "Light spectrum", "LED"),
          new Light(
              "White LED street lighting",
              "white street lighting",
              "Street lighting",
              "LED retrofit"),
          new Light("Shielded luminaires", "full cut-off shields", "Luminaires, shielded", "glare"),
          new Light("Skyglow", "skyglow from a nearby town", "Sky brightness", "skyglow"),
          new Light(
              "Motion-triggered lighting",
              "motion-triggered path lighting",
              "Adaptive lighting",
              "sensors"),
          new Light(
              "Lighting curfews",
              "a lighting curfew after eleven at night",
              "Lighting curfews",
              "policy"),
          new Light(
              "Artificial light at night", "artificial light at night", "Light pollution", "ALAN"),
          new Light(
              "Illuminated bridges",
              "decorative illumination of a bridge",
              "Architectural lighting",
              "rivers"),
          new Light(
              "Greenhouse light spill",
              "light spill from greenhouses",
              "Light trespass",
              "horticulture"),
          new Light(
              "Floodlit sports grounds",
              "floodlights of a sports ground",
              "Floodlighting",
              "amenity lighting"));

  static final List<Response> RESPONSES =
      List.of(
          new Response("flight activity", "flight activity", "Activity, nocturnal", false),
          new Response("abundance", "abundance", "Population density", false),
          new Response("survival", "survival", "Mortality", false),
          new Response("mating success", "mating success", "Reproduction", false),
          new Response("foraging time", "time spent foraging", "Foraging behaviour", false),
          new Response("larval growth", "growth of young", "Growth and development", false),
          new Response("emergence dates", "dates of emergence", "Phenology", false),
          new Response("movements", "movements after dusk", "Movement ecology", false),
          new Response("losses to predators", "losses to predators", "Predation", false),
          new Response("night-time melatonin", "night-time melatonin", "Circadian rhythm", false),
          new Response(
              "flower visits by moths", "the number of visits by a moth", "Pollination", true),
          new Response("fruit set", "fruit set", "Plant reproduction", true),
          new Response("leaf fall", "dates of leaf fall", "Phenology", true),
          new Response("seed weight", "seed weight", "Plant reproduction", true),
          new Response("leaf damage", "leaf area eaten at night", "Herbivory", true));

  static final List<String> HABITATS =
      List.of(
          "road verges",
          "hedgerows",
          "allotment gardens",
          "village edges",
          "river banks",
          "urban parks",
          "woodland rides",
          "canal towpaths",
          "churchyards",
          "salt meadows",
          "orchards",
          "dry grassland",
          "cycle paths",
          "reservoir shores",
          "heathland",
          "commuter car parks");

  static final List<String> PLACES =
      List.of(
          "southern Norway",
          "the Netherlands",
          "Brittany",
          "the Welsh Marches",
          "Lower Saxony",
          "Catalonia",
          "the Po plain",
          "central Sweden",
          "Bohemia",
          "the Scottish Borders",
          "Tasmania",
          "Hokkaido",
          "Ontario",
          "the Western Cape",
          "Slovenia",
          "Otago");

  static final List<String> DESIGNS =
      List.of(
          "a paired before-after design",
          "a five-year crossover",
          "a factorial field trial",
          "repeated transects",
          "light traps run on moonless nights",
          "thermal cameras",
          "automatic recorders",
          "a mesocosm experiment",
          "mark and recapture",
          "radio tracking",
          "caged plants moved between sites",
          "volunteer records",
          "a gradient of eleven distances from the lamps");

  static final List<Work.Journal> JOURNALS =
      List.of(
          new Work.Journal("Annals of Verge Ecology", "9999-0117", "ave", "Hollow Press"),
          new Work.Journal("Journal of Dark-sky Biology", "9999-0222", "jdb", "Meridian Fen"),
          new Work.Journal("Lamp & Landscape", "9999-0338", "lal", "Hollow Press"),
          new Work.Journal("Nocturnal Ecology Letters", "9999-0443", "nel", "Wick and Lens"),
          new Work.Journal("Hedgerow Studies", "9999-0559", "hes", "Thornbank Society"),
          new Work.Journal("Reviews in Night Ecology", "9999-0664", "rne", "Meridian Fen"),
          new Work.Journal("Lighting and Living Things", "9999-077X", "llt", "Wick and Lens"),
          new Work.Journal(
              "Transactions of the Fenland Naturalists", "9999-0885", "tfn", "Thornbank Society"));

  static final List<Work.Author> AUTHORS =
      authors(
          "Yusra Halloran",
          "Pim Quist",
          "Adaeze Sey",
          "Kofi Amadi",
          "Léonie Roux",
          "Anahit Petrosyan",
          "Dorian Wray",
          "Signe Lindqvist",
          "Tomé Ferrand",
          "Maile Loke",
          "Bram van der Kolk",
          "Ottilie Grønvik",
          "Ruairí Calder",
          "Xiadani Tovar",
          "Henrike Moll",
          "Emeka Castellane",
          "Noor Haddon",
          "Sorrel Abernant",
          "Jiří Vondra",
          "Ingrid Sølvberg",
          "Malachi Trewin",
          "Zofia Brzeg",
          "Ander Lasarte",
          "Pernille Thorsager",
          "Caoimhe Doyle-Marsh",
          "Fumiko Arata",
          "Rahel Tesfay",
          "Ilmari Koskela",
          "Beatriz Monteagudo",
          "Gwenllian Prys",
          "Oskar Feldweg",
          "Nandini Varma",
          "Tiago Salgueiro",
          "Hedda Nyström",
          "Lucjan Wilk",
          "Marisol Quintero",
          "Aurel Dragomir",
          "Saskia Terpstra",
          "Wren Ashdown",
          "Eluned Parry");

  private Words() {}

  private static List<Work.Author> authors(String... names) {
    return java.util.Arrays.stream(names)
        .map(
            name ->
                new Work.Author(
                    name.substring(0, name.indexOf(' ')), name.substring(name.indexOf(' ') + 1)))
        .toList();
  }
}
