package org.quietlantern.server.platform.sql;

import java.lang.reflect.RecordComponent;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import org.apache.ibatis.mapping.ResultFlag;
import org.apache.ibatis.mapping.ResultMap;
import org.apache.ibatis.mapping.ResultMapping;
import org.apache.ibatis.session.Configuration;
import org.apache.ibatis.type.TypeHandler;
import org.apache.ibatis.type.TypeHandlerRegistry;
import org.apache.ibatis.type.UnknownTypeHandler;

/**
 * How rows become records: each component from the column of its name ({@code folderPid} from
 * {@code folder_pid}), worked out once a statement. Left to itself the library compares the names
 * of all columns and components anew for each row, which was a third of the processor time of
 * digests.
 */
final class RecordMaps extends Configuration {
  private static final Pattern WORD_BEGINS = Pattern.compile("(?<=[a-z0-9])(?=[A-Z])");

  @Override
  public void addResultMap(ResultMap map) {
    super.addResultMap(isRecord(map) ? ofRecord(map) : map);
  }

  private boolean isRecord(ResultMap map) {
    return map.getType().isRecord()
        && map.getResultMappings().isEmpty()
        && !getTypeHandlerRegistry().hasTypeHandler(map.getType());
  }

  private ResultMap ofRecord(ResultMap map) {
    List<ResultMapping> components =
        Arrays.stream(map.getType().getRecordComponents()).map(this::component).toList();
    return new ResultMap.Builder(this, map.getId(), map.getType(), components, false).build();
  }

  private ResultMapping component(RecordComponent component) {
    return new ResultMapping.Builder(this, component.getName())
        .column(WORD_BEGINS.matcher(component.getName()).replaceAll("_").toLowerCase(Locale.ROOT))
        .javaType(component.getType())
        .typeHandler(handler(component.getType()))
        .flags(List.of(ResultFlag.CONSTRUCTOR))
        .build();
  }

  /** By the kind of the column, too, where the type alone does not tell. */
  private TypeHandler<?> handler(Class<?> type) {
    TypeHandlerRegistry handlers = getTypeHandlerRegistry();
    return handlers.hasTypeHandler(type)
        ? handlers.getTypeHandler(type)
        : new UnknownTypeHandler(this);
  }
}
