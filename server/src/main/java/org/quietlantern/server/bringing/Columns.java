package org.quietlantern.server.bringing;

import java.util.LinkedHashMap;
import java.util.Map;
import org.quietlantern.core.reference.CsvColumn;
import org.quietlantern.server.platform.Json;
import org.quietlantern.server.platform.Nullable;

/** What columns of tables hold, by their heads, as it is kept; nothing where nobody said it. */
record Columns(@Nullable Map<String, String> holds) {
  static Map<String, CsvColumn> read(Json json, String kept) {
    Map<String, CsvColumn> columns = new LinkedHashMap<>();
    Map<String, String> holds = json.read(kept, Columns.class).holds();
    if (holds != null) {
      holds.forEach(
          (head, word) -> CsvColumn.named(word).ifPresent(column -> columns.put(head, column)));
    }
    return columns;
  }
}
