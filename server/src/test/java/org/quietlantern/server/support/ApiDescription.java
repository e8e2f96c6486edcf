package org.quietlantern.server.support;

import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.Operation;
import io.swagger.v3.oas.models.PathItem;
import io.swagger.v3.oas.models.media.Content;
import io.swagger.v3.oas.models.media.IntegerSchema;
import io.swagger.v3.oas.models.media.MediaType;
import io.swagger.v3.oas.models.media.ObjectSchema;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.media.StringSchema;
import io.swagger.v3.oas.models.parameters.PathParameter;
import io.swagger.v3.oas.models.responses.ApiResponse;
import io.swagger.v3.oas.models.responses.ApiResponses;
import io.swagger.v3.oas.models.security.SecurityRequirement;
import io.swagger.v3.oas.models.security.SecurityScheme;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Nullable;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springdoc.core.customizers.OperationCustomizer;
import org.springdoc.core.customizers.PropertyCustomizer;
import org.springdoc.core.utils.SpringDocUtils;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/**
 * The description of the API is made by tests only; the application that is shipped knows nothing
 * of it. Makes it say what is true: every field is there unless marked {@link Nullable}, and every
 * path of a group has the group in it.
 */
@Configuration
class ApiDescription {
  private static final String MAY_BE_ABSENT = "x-may-be-absent";

  ApiDescription() {
    // Who asks comes from the visit.
    SpringDocUtils.getConfig().addRequestWrapperToIgnore(Member.class);
  }

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

  /** A method's own name is not enough: several features keep, end and list. */
  @Bean
  OperationCustomizer operationNames() {
    return (operation, method) -> {
      String feature = method.getBeanType().getSimpleName().replace("Controller", "");
      String name = method.getMethod().getName();
      operation.setOperationId(
          Character.toLowerCase(feature.charAt(0))
              + feature.substring(1)
              + Character.toUpperCase(name.charAt(0))
              + name.substring(1));
      return operation;
    };
  }

  /** Cookies are the browser's business. */
  @Bean
  OperationCustomizer withoutCookies() {
    return (operation, method) -> {
      if (operation.getParameters() != null) {
        operation.getParameters().removeIf(parameter -> "cookie".equals(parameter.getIn()));
        operation.setParameters(
            operation.getParameters().isEmpty() ? null : operation.getParameters());
      }
      return operation;
    };
  }

  @Bean
  OpenApiCustomizer truths() {
    return api -> {
      api.setServers(List.of());
      api.getInfo().title("Quiet Lantern").version("1");
      api.getComponents().getSchemas().values().forEach(ApiDescription::requireFields);
      api.getPaths().forEach(ApiDescription::nameGroup);
      FixedWords.describe(api.getComponents().getSchemas());
      describeRefusals(api);
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

  /** Who may ask, and how a request is refused: the same everywhere (RFC 9457). */
  private static void describeRefusals(OpenAPI api) {
    api.getComponents()
        .addSecuritySchemes(
            "visit",
            new SecurityScheme()
                .type(SecurityScheme.Type.APIKEY)
                .in(SecurityScheme.In.COOKIE)
                .name("lantern")
                .description("The visit of a member, begun by POST /api/session."))
        .addSchemas("Refusal", problem())
        .addResponses("SignedOut", refusal("Nobody is signed in (signed-out)."))
        .addResponses(
            "NotAllowed", refusal("Guests write nothing; a page that is too old neither."))
        .addResponses("Unknown", refusal("There is nothing by that name, or not for this reader."))
        .addResponses("Changed", refusal("It was changed meanwhile, or is there already."))
        .addResponses(
            "Unusable", refusal("It cannot be used as it stands; the sentence says why."));
    api.addSecurityItem(new SecurityRequirement().addList("visit"));
    api.getPaths()
        .forEach(
            (path, item) ->
                item.readOperationsMap()
                    .forEach((method, operation) -> addRefusals(path, method, operation)));
  }

  private static void addRefusals(String path, PathItem.HttpMethod method, Operation operation) {
    ApiResponses responses = operation.getResponses();
    responses.values().forEach(ApiDescription::describeFiles);
    responses.addApiResponse("401", named("SignedOut"));
    if (path.contains("{")) {
      responses.addApiResponse("404", named("Unknown"));
    }
    if (method != PathItem.HttpMethod.GET) {
      responses.addApiResponse("403", named("NotAllowed"));
      responses.addApiResponse("409", named("Changed"));
      responses.addApiResponse("422", named("Unusable"));
    }
    if (path.equals("/api/session") && method == PathItem.HttpMethod.POST) {
      operation.setSecurity(List.of());
    }
  }

  /** What is no JSON is a file, byte by byte. */
  private static void describeFiles(ApiResponse response) {
    if (response.getContent() != null) {
      response
          .getContent()
          .forEach(
              (type, content) -> {
                if (!type.endsWith("json")) {
                  content.setSchema(new StringSchema().format("binary"));
                }
              });
    }
  }

  private static ApiResponse named(String name) {
    return new ApiResponse().$ref("#/components/responses/" + name);
  }

  private static ApiResponse refusal(String description) {
    return new ApiResponse()
        .description(description)
        .content(
            new Content()
                .addMediaType(
                    "application/problem+json",
                    new MediaType()
                        .schema(new ObjectSchema().$ref("#/components/schemas/Refusal"))));
  }

  private static Schema<?> problem() {
    Schema<?> problem = new ObjectSchema();
    problem.setDescription("Why a request was refused (RFC 9457); programs branch on the type.");
    problem.addProperty("type", new StringSchema().format("uri"));
    problem.addProperty("title", new StringSchema());
    problem.addProperty("status", new IntegerSchema());
    Schema<?> detail = new StringSchema();
    detail.setDescription("A sentence that one can act on.");
    problem.addProperty("detail", detail);
    problem.setRequired(List.of("type", "status", "detail"));
    return problem;
  }

  private static void sortSchemas(OpenAPI api) {
    api.getComponents().setSchemas(new java.util.TreeMap<>(api.getComponents().getSchemas()));
  }
}
