package org.quietlantern.server.group;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.Map;
import org.quietlantern.server.platform.Refusal;
import org.quietlantern.server.platform.web.SessionAccount;
import org.springframework.core.MethodParameter;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.bind.support.WebDataBinderFactory;
import org.springframework.web.context.request.NativeWebRequest;
import org.springframework.web.context.request.RequestAttributes;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.method.support.HandlerMethodArgumentResolver;
import org.springframework.web.method.support.ModelAndViewContainer;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.HandlerMapping;

/**
 * Stands before every address of a group: lets its members in, answers everybody else as if there
 * were nothing, keeps who was asked to single folders to those, and hands the {@link Member} to the
 * method behind.
 */
@Component
class GroupGate implements HandlerInterceptor, HandlerMethodArgumentResolver {
  private static final String ATTRIBUTE = Member.class.getName();
  private final Groups groups;

  GroupGate(Groups groups) {
    this.groups = groups;
  }

  @Override
  public boolean preHandle(
      HttpServletRequest request, HttpServletResponse response, Object handler) {
    String group = variables(request).get("group");
    if (group == null || !(handler instanceof HandlerMethod method)) {
      return true;
    }
    Member member =
        groups.findMember(group, SessionAccount.current()).orElseThrow(Refusal::unknown);
    if (member.onlyFolders() && !method.hasMethodAnnotation(FolderGuestsMay.class)) {
      throw Refusal.unknown();
    }
    boolean reads =
        List.of("GET", "HEAD").contains(request.getMethod())
            || method.hasMethodAnnotation(GuestsMay.class);
    if (!reads && !member.mayWrite()) {
      throw new Refusal(HttpStatus.FORBIDDEN, "guest", "Guests read; they change nothing.");
    }
    request.setAttribute(ATTRIBUTE, member);
    return true;
  }

  @SuppressWarnings("unchecked")
  private static Map<String, String> variables(HttpServletRequest request) {
    Object variables = request.getAttribute(HandlerMapping.URI_TEMPLATE_VARIABLES_ATTRIBUTE);
    return variables == null ? Map.of() : (Map<String, String>) variables;
  }

  @Override
  public boolean supportsParameter(MethodParameter parameter) {
    return parameter.getParameterType().equals(Member.class);
  }

  @Override
  public Object resolveArgument(
      MethodParameter parameter,
      ModelAndViewContainer container,
      NativeWebRequest request,
      WebDataBinderFactory binder) {
    return request.getAttribute(ATTRIBUTE, RequestAttributes.SCOPE_REQUEST);
  }
}
