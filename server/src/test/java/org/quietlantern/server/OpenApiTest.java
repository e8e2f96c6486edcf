package org.quietlantern.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;

class OpenApiTest {
  private static final Path COMMITTED = Path.of("../openapi.json");

  /** The pages are typed from the committed description, so it has to be the running server's. */
  @Test
  void theCommittedDescriptionIsTheRunningServers() throws IOException {
    JsonMapper mapper = JsonMapper.builder().enable(SerializationFeature.INDENT_OUTPUT).build();
    try (TestApp app = new TestApp("--lantern.demo.enabled=true", "--lantern.demo.past-days=1")) {
      TestGroup group = app.group("Ann Arden");
      String running = group.client(0).below("").get("/api-docs").body();
      String pretty = mapper.writeValueAsString(mapper.readTree(running)) + "\n";
      if (Boolean.getBoolean("openapi.write")) {
        Files.writeString(COMMITTED, pretty);
      }
      assertThat(pretty).as("run ./lantern api").isEqualTo(Files.readString(COMMITTED));
    }
  }
}
