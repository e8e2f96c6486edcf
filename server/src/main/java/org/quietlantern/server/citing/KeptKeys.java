package org.quietlantern.server.citing;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.core.reference.EntryKeys;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Under which keys works stand in a group's files: each keeps its own from the first file on,
 * whatever becomes of its title.
 */
@Service
public class KeptKeys {
  private final EntryKeyMapper mapper;

  KeptKeys(EntryKeyMapper mapper) {
    this.mapper = mapper;
  }

  /** Of works as a group reads them, by row number; who has none would get this one. */
  @Transactional(readOnly = true)
  public Map<Integer, String> of(int group, Map<Integer, Publication> works) {
    Map<Integer, String> keys = kept(group, works.keySet());
    Map<Integer, String> missing = stems(works, keys.keySet());
    keys.putAll(chosen(group, missing, new HashSet<>()));
    return keys;
  }

  /** The same, and who has none gets it for good. */
  @Transactional
  public Map<Integer, String> give(int group, Map<Integer, Publication> works) {
    Map<Integer, String> keys = kept(group, works.keySet());
    Set<String> tried = new HashSet<>();
    for (Map<Integer, String> missing = stems(works, keys.keySet());
        !missing.isEmpty();
        missing = stems(works, keys.keySet())) {
      Map<Integer, String> chosen = chosen(group, missing, tried);
      List<Integer> ids = new ArrayList<>(chosen.keySet());
      mapper.add(
          group,
          ids.toArray(Integer[]::new),
          ids.stream().map(missing::get).toArray(String[]::new),
          ids.stream().map(chosen::get).toArray(String[]::new));
      // Somebody else may have taken some of them in the same moment.
      tried.addAll(chosen.values());
      keys = kept(group, works.keySet());
    }
    return keys;
  }

  private Map<Integer, String> kept(int group, Collection<Integer> works) {
    return mapper.keys(group, works.toArray(Integer[]::new)).stream()
        .collect(Collectors.toMap(EntryKeyMapper.Row::publication, EntryKeyMapper.Row::key));
  }

  private static Map<Integer, String> stems(Map<Integer, Publication> works, Set<Integer> without) {
    Map<Integer, String> stems = new HashMap<>();
    works.forEach(
        (id, work) -> {
          if (!without.contains(id)) {
            stems.put(id, EntryKeys.of(work));
          }
        });
    return stems;
  }

  /** Works that came earlier get the shorter ones. */
  private Map<Integer, String> chosen(int group, Map<Integer, String> stems, Set<String> notThese) {
    if (stems.isEmpty()) {
      return Map.of();
    }
    Set<String> taken = new HashSet<>(mapper.taken(group, stems.values().toArray(String[]::new)));
    taken.addAll(notThese);
    Map<Integer, String> chosen = new HashMap<>();
    stems.keySet().stream()
        .sorted()
        .forEach(
            id -> {
              String key = EntryKeys.free(stems.get(id), taken::contains);
              taken.add(key);
              chosen.put(id, key);
            });
    return chosen;
  }
}
