package org.quietlantern.server.support;

import java.util.Comparator;
import java.util.List;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

/** Every endpoint of our own that the running application has. */
public final class Endpoints {
  private static final Pattern VARIABLE = Pattern.compile("\\{(\\w+)[^}]*}");

  private Endpoints() {}

  /** A method and a path with variables in braces. */
  public record Endpoint(String method, String path, boolean list) {
    public List<String> variables() {
      return VARIABLE
          .matcher(path)
          .results()
          .map(MatchResult::group)
          .map(v -> v.replaceAll("[{}]", ""))
          .toList();
    }

    @Override
    public String toString() {
      return method + " " + path;
    }
  }

  public static List<Endpoint> of(TestApp app) {
    return app.mappings().getHandlerMethods().entrySet().stream()
        .filter(e -> e.getValue().getBeanType().getName().startsWith("org.quietlantern"))
        .flatMap(
            e ->
                e.getKey().getMethodsCondition().getMethods().stream()
                    .flatMap(
                        method ->
                            e.getKey().getPatternValues().stream()
                                .map(
                                    path ->
                                        endpoint(
                                            method,
                                            path,
                                            e.getValue().getReturnType().getParameterType()))))
        .sorted(Comparator.comparing(Endpoint::toString))
        .toList();
  }

  private static Endpoint endpoint(RequestMethod method, String path, Class<?> returned) {
    return new Endpoint(method.name(), path, List.class.isAssignableFrom(returned));
  }

  static RequestMappingHandlerMapping mapping(
      org.springframework.context.ApplicationContext context) {
    return context.getBean("requestMappingHandlerMapping", RequestMappingHandlerMapping.class);
  }
}
