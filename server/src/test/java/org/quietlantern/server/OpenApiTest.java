package org.quietlantern.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;
import org.quietlantern.server.support.Endpoints;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;

class OpenApiTest {
  private static final Path COMMITTED = Path.of("../openapi.json");

  /** The pages are typed from the committed description, so it has to be the running server's. */
  @Test
  void theCommittedDescriptionIsTheRunningServers() throws IOException {
    JsonMapper mapper = JsonMapper.builder().enable(SerializationFeature.INDENT_OUTPUT).build();
    try (TestApp app =
        new TestApp(
            "--lantern.demo.enabled=true",
            "--lantern.demo.past-days=1",
            "--springdoc.api-docs.enabled=true")) {
      TestGroup group = app.group("Ann Arden");
      String running = group.client(0).below("").get("/api-docs").body();
      String pretty = mapper.writeValueAsString(mapper.readTree(running)) + "\n";
      if (Boolean.getBoolean("openapi.write")) {
        Files.writeString(COMMITTED, pretty);
      }
      assertThat(pretty).as("run ./lantern api").isEqualTo(Files.readString(COMMITTED));
    }
  }

  /** Types are described by their simple names: two of one name would describe one of them only. */
  @Test
  void noTwoTypesShareAName() {
    Set<Class<?>> described = Endpoints.described(TestApp.shared());
    assertThat(described).hasSizeGreaterThan(60);
    assertThat(described).extracting(Class::getSimpleName).doesNotHaveDuplicates();
  }

  @TestFactory
  Stream<DynamicTest> everyOperationIsDescribed() throws IOException {
    JsonNode api = new JsonMapper().readTree(Files.readString(COMMITTED));
    return api.get("paths").properties().stream()
        .flatMap(
            path ->
                path.getValue().properties().stream()
                    .filter(operation -> !operation.getKey().equals("parameters"))
                    .map(
                        operation ->
                            DynamicTest.dynamicTest(
                                operation.getKey() + " " + path.getKey(),
                                () -> isDescribed(path.getKey(), operation.getValue()))));
  }

  private static void isDescribed(String path, JsonNode operation) {
    assertThat(operation.get("operationId").asString()).matches("[a-z][A-Za-z]+");
    assertThat(operation.path("summary").asString("")).as("says what it does").isNotEmpty();
    JsonNode responses = operation.get("responses");
    if (path.startsWith("/api/")) {
      assertThat(responses.has("401") || path.equals("/api/session"))
          .as("says that one has to be signed in")
          .isTrue();
    }
    if (operation.has("requestBody")) {
      assertThat(responses.has("422")).as("says that it may be refused").isTrue();
    }
    responses
        .properties()
        .forEach(
            response ->
                assertThat(
                        response.getValue().has("$ref")
                            || !response.getValue().path("description").asString("").isEmpty())
                    .isTrue());
  }
}
