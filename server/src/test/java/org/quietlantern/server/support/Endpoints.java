package org.quietlantern.server.support;

import java.lang.reflect.ParameterizedType;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import org.springframework.core.MethodParameter;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

/** Every endpoint of our own that the running application has. */
public final class Endpoints {
  private static final Pattern VARIABLE = Pattern.compile("\\{(\\w+)[^}]*}");

  private Endpoints() {}

  /** A method and a path with variables in braces; {@code command}: it is given under an id. */
  public record Endpoint(String method, String path, boolean list, boolean command) {
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
                                .map(path -> endpoint(method, path, e.getValue()))))
        .sorted(Comparator.comparing(Endpoint::toString))
        .toList();
  }

  /** Types that answers and bodies are made of, down to their last component. */
  public static Set<Class<?>> described(TestApp app) {
    Set<Class<?>> seen = new LinkedHashSet<>();
    app.mappings()
        .getHandlerMethods()
        .values()
        .forEach(
            method -> {
              collect(method.getMethod().getGenericReturnType(), seen);
              for (MethodParameter parameter : method.getMethodParameters()) {
                if (parameter.hasParameterAnnotation(RequestBody.class)) {
                  collect(parameter.getGenericParameterType(), seen);
                }
              }
            });
    return seen;
  }

  private static void collect(Type type, Set<Class<?>> seen) {
    if (type instanceof ParameterizedType generic) {
      Arrays.stream(generic.getActualTypeArguments()).forEach(part -> collect(part, seen));
    } else if (type instanceof Class<?> plain && plain.isRecord() && seen.add(plain)) {
      for (RecordComponent component : plain.getRecordComponents()) {
        collect(component.getGenericType(), seen);
      }
    }
  }

  private static Endpoint endpoint(RequestMethod method, String path, HandlerMethod handler) {
    boolean command =
        Arrays.stream(handler.getMethodParameters())
            .map(parameter -> parameter.getParameterAnnotation(RequestHeader.class))
            .anyMatch(header -> header != null && header.value().equals("Command-Id"));
    boolean list = List.class.isAssignableFrom(handler.getReturnType().getParameterType());
    return new Endpoint(method.name(), path, list, command);
  }

  static RequestMappingHandlerMapping mapping(
      org.springframework.context.ApplicationContext context) {
    return context.getBean("requestMappingHandlerMapping", RequestMappingHandlerMapping.class);
  }
}
