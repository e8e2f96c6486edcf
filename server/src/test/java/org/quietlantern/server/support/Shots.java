package org.quietlantern.server.support;

import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Requests that nobody should send, made from the description of the API: every operation, in every
 * place of its path, query and body, with every odd value.
 */
public final class Shots {
  private static final JsonMapper JSON = new JsonMapper();

  /** Stands where the odd value goes; it may be no JSON that a mapper would write. */
  private static final String HERE = "\u2316 here";

  private static final List<String> TEXTS =
      List.of(
          "",
          " ",
          "\\u0000",
          "a\\u0000b",
          "\\ud800",
          "a\\udc00b",
          "\\u202eabc\\u200b",
          "\\u0007\\u001b[31m",
          "line\\nbreak\\ttab",
          "x".repeat(300),
          "x".repeat(20_000),
          "\ud83e\udd89".repeat(500),
          "a or ".repeat(1_000) + "a",
          "(".repeat(400),
          "a* ".repeat(300),
          "s:x:y",
          "q:",
          "q:zzzzzzzzzz",
          "k:0000000000:9",
          ":",
          "%",
          "%zz",
          "%00",
          "\\\"",
          "' or 1=1 --",
          "<script>alert(1)</script>",
          "../../../etc/passwd",
          "year: 99999-",
          "title:",
          "and or not",
          "\\\"open",
          "2026-13-45",
          "9999-99",
          "+999999999-12-31",
          "0000-00-00",
          "24:61",
          "-1",
          "0",
          "99999999999999999999",
          "1e309",
          "NaN",
          "null",
          "SELECT");

  private static final List<String> OTHERS =
      List.of(
          "null",
          "-1",
          "0",
          "1.5",
          "2147483647",
          "2147483648",
          "9223372036854775807",
          "1e400",
          "true",
          "[]",
          "{}",
          "[null]",
          "[[]]",
          "[\"\"]",
          "[\"a\\u0000\"]",
          "{\"id\":null}",
          "[{}]",
          "\"" + "x".repeat(5) + "\"",
          "[".repeat(600) + "]".repeat(600));

  private static final List<String> BODIES =
      List.of(
          "",
          "null",
          "[]",
          "{}",
          "5",
          "\"x\"",
          "{",
          "{\"a\":}",
          "[".repeat(5_000),
          "{\"a\":".repeat(2_000),
          "\u0000",
          "\uFEFF{}");

  private final JsonNode api;
  private final World world;

  /** One request; {@code body} null: none. */
  public record Shot(String method, String path, String body) {
    @Override
    public String toString() {
      String told = method + " " + path + (body == null ? "" : " " + body);
      return told.length() > 300 ? told.substring(0, 300) + "…" : told;
    }
  }

  private record Operation(String method, String path, JsonNode description) {}

  public Shots(JsonNode api, World world) {
    this.api = api;
    this.world = world;
  }

  /** All of them; those that end something come last. */
  public List<Shot> all() {
    List<Shot> shots = new ArrayList<>();
    List<Operation> operations = new ArrayList<>();
    api.get("paths")
        .properties()
        .forEach(
            path ->
                path.getValue().properties().stream()
                    .filter(operation -> !operation.getKey().equals("parameters"))
                    .forEach(
                        operation ->
                            operations.add(
                                new Operation(
                                    operation.getKey().toUpperCase(java.util.Locale.ROOT),
                                    path.getKey(),
                                    operation.getValue()))));
    operations.sort(
        java.util.Comparator.comparing(operation -> operation.method().equals("DELETE")));
    operations.stream()
        // Another account, and the clock of the demo.
        .filter(o -> !o.path().equals("/api/session") && !o.path().startsWith("/api/demo"))
        .forEach(operation -> shots.addAll(shots(operation)));
    return shots;
  }

  private List<Shot> shots(Operation operation) {
    List<Shot> shots = new ArrayList<>();
    List<String> variables = parameters(operation, "path");
    List<String> parameters = parameters(operation, "query");
    JsonNode body = body(operation);
    for (String variable : variables) {
      for (String text : TEXTS) {
        String odd = operation.path().replace("{" + variable + "}", encoded(text));
        shots.add(new Shot(operation.method(), filled(odd) + query(operation, ""), text(body)));
      }
    }
    for (String parameter : parameters) {
      for (String text : TEXTS) {
        String odd = query(operation, parameter) + "&" + parameter + "=" + encoded(text);
        shots.add(
            new Shot(
                operation.method(),
                filled(operation.path()) + (odd.startsWith("&") ? "?" + odd.substring(1) : odd),
                text(body)));
      }
    }
    if (body != null) {
      String path = filled(operation.path()) + query(operation, "");
      BODIES.forEach(odd -> shots.add(new Shot(operation.method(), path, odd)));
      for (String odd : mutants(body)) {
        shots.add(new Shot(operation.method(), path, odd));
      }
    }
    return shots;
  }

  private String filled(String path) {
    return world.fill(path);
  }

  private String query(Operation operation, String without) {
    String query = World.query(operation.path(), world.value("q"));
    if (without.isEmpty() || query.isEmpty()) {
      return query;
    }
    String kept =
        Stream.of(query.substring(1).split("&"))
            .filter(each -> !each.startsWith(without + "="))
            .reduce((a, b) -> a + "&" + b)
            .orElse("");
    return kept.isEmpty() ? "" : "?" + kept;
  }

  private static List<String> parameters(Operation operation, String where) {
    List<String> names = new ArrayList<>();
    JsonNode parameters = operation.description().get("parameters");
    if (where.equals("path")) {
      java.util.regex.Matcher variable =
          java.util.regex.Pattern.compile("\\{(\\w+)}").matcher(operation.path());
      while (variable.find()) {
        names.add(variable.group(1));
      }
    } else if (parameters != null) {
      parameters.forEach(
          parameter -> {
            if (parameter.get("in").asString().equals(where)) {
              names.add(parameter.get("name").asString());
            }
          });
    }
    return names;
  }

  /** As the walks send it, with something in every field that the description names. */
  private JsonNode body(Operation operation) {
    JsonNode described =
        operation.description().at("/requestBody/content/application~1json/schema");
    if (described.isMissingNode()) {
      return null;
    }
    ObjectNode body =
        JSON.valueToTree(
            world.body(new Endpoints.Endpoint(operation.method(), operation.path(), false, false)));
    JsonNode schema = resolved(described);
    ObjectNode told = JSON.createObjectNode();
    for (Map.Entry<String, JsonNode> field : properties(schema)) {
      JsonNode known = body.get(field.getKey());
      told.set(
          field.getKey(),
          known == null
              ? sample(field.getValue(), new HashSet<>())
              : completed(known, field.getValue(), new HashSet<>()));
    }
    return told;
  }

  /** Fields that the walks leave out, so that they are shot at too. */
  private JsonNode completed(JsonNode known, JsonNode schema, Set<String> within) {
    JsonNode resolved = resolved(schema);
    if (known instanceof ArrayNode list && resolved.has("items")) {
      ArrayNode all = JSON.createArrayNode();
      list.forEach(each -> all.add(completed(each, resolved.get("items"), within)));
      return all;
    }
    return known;
  }

  private JsonNode sample(JsonNode schema, Set<String> within) {
    if (schema.has("$ref") && !within.add(schema.get("$ref").asString())) {
      return JSON.nullNode();
    }
    JsonNode resolved = resolved(schema);
    if (resolved.has("enum")) {
      return resolved.get("enum").get(0);
    }
    if (resolved.has("items")) {
      return JSON.createArrayNode().add(sample(resolved.get("items"), within));
    }
    if (resolved.has("properties")) {
      ObjectNode sample = JSON.createObjectNode();
      properties(resolved).forEach(p -> sample.set(p.getKey(), sample(p.getValue(), within)));
      return sample;
    }
    String type = resolved.has("type") ? type(resolved.get("type")) : "string";
    return switch (type) {
      case "integer", "number" -> JSON.getNodeFactory().numberNode(1);
      case "boolean" -> JSON.getNodeFactory().booleanNode(true);
      default -> JSON.getNodeFactory().stringNode("x");
    };
  }

  private static String type(JsonNode type) {
    return type.isArray() ? type.get(0).asString() : type.asString();
  }

  private static Set<Map.Entry<String, JsonNode>> properties(JsonNode schema) {
    return schema.has("properties") ? schema.get("properties").properties() : Set.of();
  }

  private JsonNode resolved(JsonNode schema) {
    return schema.has("$ref") ? api.at(schema.get("$ref").asString().replace("#", "")) : schema;
  }

  /** The body with each field odd, and with each left out. */
  private static List<String> mutants(JsonNode body) {
    List<String> mutants = new ArrayList<>();
    for (List<Object> place : places(body)) {
      JsonNode marked = with(body, place, 0, true);
      String text = JSON.writeValueAsString(marked);
      String marker = "\"" + HERE + "\"";
      TEXTS.forEach(odd -> mutants.add(text.replace(marker, "\"" + odd + "\"")));
      OTHERS.forEach(odd -> mutants.add(text.replace(marker, odd)));
      mutants.add(JSON.writeValueAsString(with(body, place, 0, false)));
    }
    return mutants;
  }

  /** Names of fields and numbers of items that lead to each value inside. */
  private static List<List<Object>> places(JsonNode node) {
    List<List<Object>> places = new ArrayList<>();
    Map<Object, JsonNode> children = new HashMap<>();
    if (node.isObject()) {
      node.properties().forEach(entry -> children.put(entry.getKey(), entry.getValue()));
    } else if (node.isArray()) {
      for (int i = 0; i < node.size(); i++) {
        children.put(i, node.get(i));
      }
    }
    children.forEach(
        (key, child) -> {
          places.add(List.of(key));
          places(child)
              .forEach(below -> places.add(Stream.concat(Stream.of(key), below.stream()).toList()));
        });
    return places;
  }

  private static JsonNode with(JsonNode node, List<Object> place, int depth, boolean odd) {
    if (depth == place.size()) {
      return JSON.getNodeFactory().stringNode(HERE);
    }
    boolean isLast = depth == place.size() - 1;
    if (node instanceof ObjectNode object) {
      ObjectNode copy = object.deepCopy();
      String name = (String) place.get(depth);
      if (isLast && !odd) {
        copy.remove(name);
      } else {
        copy.set(name, with(object.get(name), place, depth + 1, odd));
      }
      return copy;
    }
    ArrayNode copy = ((ArrayNode) node).deepCopy();
    int index = (Integer) place.get(depth);
    if (isLast && !odd) {
      copy.remove(index);
    } else {
      copy.set(index, with(node.get(index), place, depth + 1, odd));
    }
    return copy;
  }

  private static String text(JsonNode body) {
    return body == null ? null : JSON.writeValueAsString(body);
  }

  /** As a browser writes it in an address; the texts are written as JSON has them. */
  private static String encoded(String text) {
    String plain = JSON.readTree("\"" + text + "\"").asString();
    String encoded = URLEncoder.encode(plain, StandardCharsets.UTF_8).replace("+", "%20");
    return encoded.isEmpty() || encoded.equals(".") ? "%20" : encoded;
  }
}
