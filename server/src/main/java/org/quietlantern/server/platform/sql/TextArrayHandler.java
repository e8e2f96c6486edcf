package org.quietlantern.server.platform.sql;

import org.apache.ibatis.type.ArrayTypeHandler;
import org.apache.ibatis.type.MappedTypes;

/** Sets in SQL: {@code = any(#{array})}. */
@MappedTypes(String[].class)
public final class TextArrayHandler extends ArrayTypeHandler {}
