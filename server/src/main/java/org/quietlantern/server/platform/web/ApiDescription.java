package org.quietlantern.server.platform.web;

import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.PathItem;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.media.StringSchema;
import io.swagger.v3.oas.models.parameters.PathParameter;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.quietlantern.server.platform.Nullable;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springdoc.core.customizers.PropertyCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/**
 * Makes the description of the API say what is true of it: every field is there unless marked
 * {@link Nullable}, and every path of a group has the group in it.
 */
@Configuration
class ApiDescription {
  private static final String MAY_BE_ABSENT = "x-may-be-absent";

  @Bean
  PropertyCustomizer absentFields() {
    return (property, type) -> {
      if (type.getCtxAnnotations() != null
          && Arrays.stream(type.getCtxAnnotations()).anyMatch(Nullable.class::isInstance)) {
        property.addExtension(MAY_BE_ABSENT, true);
      }
      return property;
    };
  }

  @Bean
  OpenApiCustomizer truths() {
    return api -> {
      api.setServers(List.of());
      api.getInfo().title("Quiet Lantern").version("1");
      api.getComponents().getSchemas().values().forEach(ApiDescription::requireFields);
      api.getPaths().forEach(ApiDescription::nameGroup);
      sortSchemas(api);
    };
  }

  @SuppressWarnings({"rawtypes", "unchecked"})
  private static void requireFields(Schema schema) {
    Map<String, Schema> properties = schema.getProperties();
    if (properties == null) {
      return;
    }
    schema.setRequired(null);
    properties.forEach(
        (name, property) -> {
          Map<String, Object> extensions = property.getExtensions();
          if (extensions == null || extensions.remove(MAY_BE_ABSENT) == null) {
            schema.addRequiredItem(name);
          }
        });
  }

  private static void nameGroup(String path, PathItem item) {
    if (path.contains("{group}")) {
      item.addParametersItem(new PathParameter().name("group").schema(new StringSchema()));
    }
  }

  private static void sortSchemas(OpenAPI api) {
    api.getComponents().setSchemas(new java.util.TreeMap<>(api.getComponents().getSchemas()));
  }
}
