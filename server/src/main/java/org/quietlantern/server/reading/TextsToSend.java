package org.quietlantern.server.reading;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.quietlantern.core.text.Licence;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.StoredPublication;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.LanternProperties;
import org.quietlantern.server.platform.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Texts of the group that may be sent to somebody, and why others may not. */
@Service
@Transactional(readOnly = true)
public class TextsToSend {
  private final TextMapper mapper;
  private final GroupTexts texts;
  private final Publications publications;
  private final LanternProperties properties;

  /**
   * What the group has of a work.
   *
   * @param file that may be sent; absent where none may
   * @param size of it, in bytes
   * @param why none may, as a sentence; empty where one may
   */
  public record TextToSend(@Nullable Downloads.Download file, int size, String why) {}

  TextsToSend(
      TextMapper mapper,
      GroupTexts texts,
      Publications publications,
      LanternProperties properties) {
    this.mapper = mapper;
    this.texts = texts;
    this.publications = publications;
    this.properties = properties;
  }

  /** By row number, in the order of the works; of what the group has no text there is none. */
  public Map<Integer, TextToSend> of(Member who, Collection<StoredPublication> works) {
    Map<Integer, Integer> wholes = new HashMap<>();
    List<Integer> ids = works.stream().map(StoredPublication::id).toList();
    ids.forEach(id -> wholes.put(id, id));
    publications.parts(ids).forEach((whole, parts) -> parts.forEach(p -> wholes.put(p, whole)));
    Map<Integer, List<TextMapper.Row>> rows = new HashMap<>();
    for (TextMapper.Row row : texts.certain(who, wholes.keySet())) {
      rows.computeIfAbsent(wholes.get(row.publication()), whole -> new ArrayList<>()).add(row);
    }
    Map<Integer, TextToSend> all = new LinkedHashMap<>();
    for (StoredPublication work : works) {
      if (rows.containsKey(work.id())) {
        all.put(work.id(), of(who, work, rows.get(work.id())));
      }
    }
    return all;
  }

  private TextToSend of(Member who, StoredPublication work, List<TextMapper.Row> rows) {
    List<TextMapper.Row> free =
        rows.stream().filter(row -> Licence.maySend(row.licence())).toList();
    for (TextMapper.Row row : free) {
      if (row.form().equals("pdf")) {
        return new TextToSend(Downloads.file(mapper, row, work.publication()), row.size(), "");
      }
    }
    TextMapper.Row first = free.isEmpty() ? rows.get(0) : free.get(0);
    String place = "%s/g/%s/p/%s/text".formatted(properties.baseUrl(), who.groupPid(), work.pid());
    String why =
        free.isEmpty()
            ? "Its text is not sent (%s); members read it at %s"
                .formatted(
                    first.licence().isEmpty()
                        ? "nothing says that it may be given on"
                        : first.licence(),
                    place)
            : "Its text is a page of the web; members read it at " + place;
    return new TextToSend(null, 0, why);
  }
}
