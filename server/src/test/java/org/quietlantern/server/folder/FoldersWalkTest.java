package org.quietlantern.server.folder;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.UUID;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import tools.jackson.databind.JsonNode;

/**
 * Three members, some folders, and acts drawn at random: after each of them every work is where
 * plain sets have it, once, kept by somebody, counted where folders are listed, and in every
 * export.
 */
class FoldersWalkTest {
  @RegisterExtension private static final TestApp APP = TestApp.own();
  private static final int ACTS = 130;
  private static final int WORKS = 9;
  private static final int FEW = 5;
  private final TestGroup group = APP.group("Wenke Walker", "Willem Walker", "Wanda Walker");
  private final List<String> works = group.find("moth or bat*").subList(0, WORKS);
  private final List<Done> done = new ArrayList<>();
  private Random random;
  private int made;

  /** What a member did, and the folders that it was about. */
  private record Done(int member, UUID command, Set<String> about) {}

  /** What each folder holds: works with what was said of each, by whom. */
  private record Shelf(Map<String, Map<String, Set<String>>> folders) {
    Set<String> in(String folder) {
      return folders.getOrDefault(folder, Map.of()).keySet();
    }

    Shelf without(Set<String> some) {
      Map<String, Map<String, Set<String>>> rest = new LinkedHashMap<>(folders);
      rest.keySet().removeAll(some);
      return new Shelf(rest);
    }
  }

  @DisplayName(
      "No work is lost or doubled, counts are sums, what goes in comes out of every export")
  @ParameterizedTest
  @ValueSource(longs = {3, 17, 40, 99})
  void walk(long seed) {
    random = new Random(seed);
    for (int i = 0; i < 3; i++) {
      group.folder("Folder " + made++);
    }
    Shelf shelf = read();
    for (int n = 0; n < ACTS; n++) {
      if (shelf.folders().isEmpty()) {
        group.folder("Folder " + made++);
        shelf = read();
      }
      shelf = act(shelf, "seed " + seed + ", act " + n);
    }
    assertThat(done).as("most of it was done").hasSizeGreaterThan(ACTS / 3);
  }

  private Shelf act(Shelf before, String when) {
    int member = random.nextInt(3);
    List<String> folders = List.copyOf(before.folders().keySet());
    String one = folders.get(random.nextInt(folders.size()));
    String other = folders.get(random.nextInt(folders.size()));
    List<String> some = some(works);
    List<String> held = some(works.stream().filter(before.in(one)::contains).toList());
    int which = random.nextInt(100);
    if (which < 30) {
      Map<String, Object> body = Map.of("publications", some, "note", "why " + random.nextInt(3));
      if (give(member, "POST", "/folders/" + one + "/items", body, Set.of(one))) {
        return check(before, when + ": keep", one, union(before.in(one), some));
      }
    } else if (which < 42) {
      Map<String, Object> body = Map.of("publications", held, "to", other);
      if (give(member, "POST", "/folders/" + one + "/items/moved", body, both(one, other))) {
        check(before, when + ": moved out", one, minus(before.in(one), held), other);
        return check(before, when + ": moved in", other, union(before.in(other), held), one);
      }
    } else if (which < 52) {
      Map<String, Object> body = Map.of("publications", held, "to", other);
      if (give(member, "POST", "/folders/" + one + "/items/copied", body, both(one, other))) {
        return check(before, when + ": copy", other, union(before.in(other), held));
      }
    } else if (which < 60) {
      Map<String, Object> body = Map.of("publications", held);
      if (give(member, "DELETE", "/folders/" + one + "/items", body, Set.of(one))) {
        return check(before, when + ": take out", one, minus(before.in(one), held));
      }
    } else if (which < 66) {
      Map<String, Object> body = Map.of("to", other);
      if (give(member, "POST", "/folders/" + one + "/merged", body, both(one, other))) {
        Set<String> all = union(before.in(other), before.in(one));
        // What is put back into the one from now on comes into the other.
        done.stream().filter(act -> act.about().contains(one)).forEach(a -> a.about().add(other));
        return check(before, when + ": merge", other, all, one);
      }
    } else if (which < 71 && folders.size() < FEW) {
      Map<String, Object> body = Map.of("name", "Folder " + made++);
      if (give(member, "POST", "/folders/" + one + "/copies", body, Set.of(one))) {
        Shelf after = read();
        Set<String> new_ = minus(after.folders().keySet(), folders);
        assertThat(new_).hasSize(1);
        done.get(done.size() - 1).about().addAll(new_);
        assertThat(after.folders().get(new_.iterator().next()))
            .as(when + ": copied")
            .isEqualTo(before.folders().get(one));
        return after;
      }
    } else if (which < 78 && folders.size() > 1) {
      if (give(member, "DELETE", "/folders/" + one, Map.of(), Set.of(one))) {
        Shelf after = read();
        assertThat(after).as(when + ": end").isEqualTo(before.without(Set.of(one)));
        return after;
      }
    } else if (which < 84) {
      JsonNode bin = client(member).get("/bin").ok().get("lines");
      if (!bin.isEmpty()) {
        return bringBack(before, when, member, bin.get(random.nextInt(bin.size())));
      }
    } else if (!done.isEmpty()) {
      return undo(before, when);
    }
    return check(before, when + ": nothing", one, before.in(one));
  }

  private Shelf bringBack(Shelf before, String when, int member, JsonNode line) {
    String id = line.get("id").asString();
    if (line.get("kind").asString().equals("folder")) {
      give(member, "POST", "/bin/" + id + "/back", Map.of(), Set.of(id));
      Shelf after = read();
      assertThat(after.without(Set.of(id))).as(when + ": back").isEqualTo(before);
      return after;
    }
    String folder = line.at("/folder/id").asString();
    JsonNode out = client(member).get("/bin/" + id + "/publications").ok();
    assertThat(out.size()).as(when + ": counted").isEqualTo(line.get("publications").asInt());
    List<String> back = some(out.findValuesAsString("id"));
    Map<String, Object> body = Map.of("publications", back);
    boolean given = give(member, "POST", "/bin/" + id + "/publications/back", body, Set.of(folder));
    Set<String> holds = given ? union(before.in(folder), back) : before.in(folder);
    Shelf after = check(before, when + ": put back", folder, holds);
    assertThat(given).isEqualTo(!back.isEmpty());
    return after;
  }

  /** Only folders that the act was about differ; after one that was refused none does. */
  private Shelf undo(Shelf before, String when) {
    int back = Math.min(done.size(), 1 + random.nextInt(6));
    Done act = done.get(done.size() - back);
    boolean undone =
        client(act.member()).post("/actions/" + act.command() + "/undo", Map.of()).status() == 200;
    Shelf after = read();
    Set<String> touched = undone ? act.about() : Set.of();
    assertThat(after.without(touched)).as(when + ": undo").isEqualTo(before.without(touched));
    if (undone) {
      done.remove(act);
    }
    return after;
  }

  private boolean give(
      int member, String method, String path, Map<String, Object> body, Set<String> about) {
    UUID command = UUID.randomUUID();
    Client.Response answer = client(member).write(method, path, body, command);
    assertThat(answer.status()).as(answer.body()).isLessThan(500);
    if (answer.status() >= 300) {
      return false;
    }
    done.add(new Done(member, command, new TreeSet<>(about)));
    return true;
  }

  private Client client(int member) {
    return group.client(member);
  }

  private List<String> some(List<String> of) {
    return of.stream().filter(one -> random.nextInt(3) == 0).toList();
  }

  /** That a folder holds these, and all others what they held; {@code may}: one that may differ. */
  private Shelf check(Shelf before, String when, String folder, Set<String> holds, String... may) {
    Shelf after = read();
    Set<String> free = new TreeSet<>(List.of(may));
    boolean isSame = free.remove(folder);
    free.add(folder);
    assertThat(after.without(free)).as(when).isEqualTo(before.without(free));
    if (!isSame) {
      assertThat(after.in(folder)).as(when).isEqualTo(holds);
    }
    return after;
  }

  private static Set<String> both(String one, String other) {
    return new TreeSet<>(List.of(one, other));
  }

  private static Set<String> union(Set<String> some, Collection<String> more) {
    Set<String> all = new TreeSet<>(some);
    all.addAll(more);
    return all;
  }

  private static Set<String> minus(Set<String> some, Collection<String> less) {
    Set<String> rest = new TreeSet<>(some);
    rest.removeAll(less);
    return rest;
  }

  /** Everything as it is read, with what must always hold. */
  private Shelf read() {
    Client reader = client(0);
    // In the order of their names, so that a seed draws the same folders each time.
    Map<String, Map<String, Set<String>>> folders = new LinkedHashMap<>();
    for (JsonNode line : reader.get("/folders").ok()) {
      if (line.get("pile").asBoolean()) {
        continue;
      }
      String id = line.get("id").asString();
      JsonNode folder = reader.get("/folders/" + id).ok();
      Map<String, Set<String>> holds = new HashMap<>();
      for (JsonNode item : folder.get("items")) {
        Set<String> said = new TreeSet<>();
        for (JsonNode reason : item.get("reasons")) {
          said.add(reason.get("who").asString() + ": " + reason.get("text").asString());
        }
        assertThat(said).as("kept by somebody").isNotEmpty();
        holds.put(item.at("/publication/id").asString(), said);
      }
      assertThat(folder.get("ids")).as("each once").hasSize(holds.size());
      assertThat(line.get("items").asInt()).as("counted").isEqualTo(holds.size());
      String ris = reader.exported("/folders/" + id, "ris");
      assertThat(ris.split("\nER  - ", -1).length - 1).as("exported").isEqualTo(holds.size());
      folders.put(id, new TreeMap<>(holds));
    }
    return new Shelf(folders);
  }
}
