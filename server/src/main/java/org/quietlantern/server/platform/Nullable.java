package org.quietlantern.server.platform;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/**
 * May be null; in an answer of the API: may be absent. Seen at run time by the description of the
 * API, which annotations of type uses are not.
 */
@Target({
  ElementType.RECORD_COMPONENT,
  ElementType.FIELD,
  ElementType.METHOD,
  ElementType.PARAMETER
})
@Retention(RetentionPolicy.RUNTIME)
public @interface Nullable {}
