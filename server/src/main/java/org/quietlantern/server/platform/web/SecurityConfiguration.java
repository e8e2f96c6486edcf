package org.quietlantern.server.platform.web;

import jakarta.servlet.DispatcherType;
import jakarta.servlet.http.HttpServletRequest;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import org.quietlantern.server.platform.LanternProperties;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpMethod;
import org.springframework.security.authorization.AuthorizationDecision;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configurers.AbstractHttpConfigurer;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.crypto.argon2.Argon2PasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.context.NullSecurityContextRepository;
import org.springframework.security.web.csrf.CsrfFilter;

/** Who may come in by which door. */
@Configuration
class SecurityConfiguration {
  private static final String CONTENT_POLICY =
      "default-src 'self'; img-src 'self' data:; object-src 'none'; base-uri 'none';"
          + " frame-ancestors 'none'; form-action 'self'";

  /** Argon2id (RFC 9106): 16 MiB a hash, so memory-hard. */
  @Bean
  PasswordEncoder passwordEncoder() {
    return Argon2PasswordEncoder.defaultsForSpringSecurity_v5_8();
  }

  /** Health is told to anybody, by one word; figures to whoever knows the token. */
  @Bean
  @Order(0)
  SecurityFilterChain management(HttpSecurity http, LanternProperties properties, Gatekeeper gate) {
    return headers(http.securityMatcher("/manage/**"))
        .csrf(AbstractHttpConfigurer::disable)
        .requestCache(AbstractHttpConfigurer::disable)
        .anonymous(AbstractHttpConfigurer::disable)
        .securityContext(c -> c.securityContextRepository(new NullSecurityContextRepository()))
        .sessionManagement(s -> s.sessionCreationPolicy(SessionCreationPolicy.STATELESS))
        .exceptionHandling(
            e ->
                e.authenticationEntryPoint((request, response, why) -> gate.hide(request, response))
                    .accessDeniedHandler((request, response, why) -> gate.hide(request, response)))
        .authorizeHttpRequests(
            requests ->
                requests
                    .requestMatchers("/manage/health/**")
                    .permitAll()
                    .anyRequest()
                    .access(
                        (reader, request) ->
                            new AuthorizationDecision(
                                knows(properties.figuresToken(), request.getRequest()))))
        .build();
  }

  private static boolean knows(String token, HttpServletRequest request) {
    String given = request.getHeader(HttpHeaders.AUTHORIZATION);
    return !token.isEmpty()
        && given != null
        && MessageDigest.isEqual(
            ("Bearer " + token).getBytes(StandardCharsets.UTF_8),
            given.getBytes(StandardCharsets.UTF_8));
  }

  /**
   * Open to anybody, and never a session: stable links, feeds, folders by their address, ends of
   * letters.
   */
  @Bean
  @Order(1)
  SecurityFilterChain withoutSession(HttpSecurity http) {
    return headers(http.securityMatcher("/p/**", "/feed/**", "/shared/**", "/letters/**"))
        .csrf(AbstractHttpConfigurer::disable)
        .requestCache(AbstractHttpConfigurer::disable)
        .securityContext(c -> c.securityContextRepository(new NullSecurityContextRepository()))
        .sessionManagement(s -> s.sessionCreationPolicy(SessionCreationPolicy.STATELESS))
        .authorizeHttpRequests(requests -> requests.anyRequest().permitAll())
        .build();
  }

  @Bean
  @Order(2)
  SecurityFilterChain withSession(HttpSecurity http, SessionAccount sessions, Gatekeeper gate) {
    return headers(http)
        .securityContext(c -> c.securityContextRepository(sessions))
        .csrf(csrf -> csrf.spa())
        .addFilterAfter(new CsrfCookie(), CsrfFilter.class)
        .requestCache(AbstractHttpConfigurer::disable)
        .logout(AbstractHttpConfigurer::disable)
        .anonymous(AbstractHttpConfigurer::disable)
        .exceptionHandling(e -> e.authenticationEntryPoint(gate).accessDeniedHandler(gate))
        .authorizeHttpRequests(
            requests ->
                requests
                    // What failed is told by way of it; nobody comes there from outside.
                    .dispatcherTypeMatchers(DispatcherType.ERROR)
                    .permitAll()
                    .requestMatchers("/error")
                    .denyAll()
                    .requestMatchers(
                        HttpMethod.POST,
                        "/api/session",
                        "/api/entry",
                        "/api/entry/visit",
                        "/api/entry/forgotten",
                        "/api/entry/address",
                        "/api/join",
                        "/api/join/visit")
                    .permitAll()
                    .requestMatchers("/api/**")
                    .authenticated()
                    .anyRequest()
                    .permitAll())
        .build();
  }

  private static HttpSecurity headers(HttpSecurity http) {
    return http.headers(
        headers ->
            headers
                .contentSecurityPolicy(policy -> policy.policyDirectives(CONTENT_POLICY))
                .referrerPolicy(
                    referrer ->
                        referrer.policy(
                            org.springframework.security.web.header.writers
                                .ReferrerPolicyHeaderWriter.ReferrerPolicy.SAME_ORIGIN)));
  }
}
