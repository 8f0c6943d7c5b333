package wiselarder.server.http;

import jakarta.servlet.DispatcherType;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.Resource;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configurers.HeadersConfigurer;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.authentication.AnonymousAuthenticationFilter;
import org.springframework.security.web.context.NullSecurityContextRepository;
import org.springframework.security.web.firewall.RequestRejectedHandler;
import org.springframework.security.web.firewall.StrictHttpFirewall;
import org.springframework.security.web.header.writers.CrossOriginOpenerPolicyHeaderWriter;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.servlet.resource.PathResourceResolver;
import tools.jackson.databind.json.JsonMapper;
import wiselarder.core.quantity.Reason;
import wiselarder.server.problem.ServerReason;

/** Security headers, CSRF, host check, and the web client's files. */
@Configuration
class WebConfig implements WebMvcConfigurer {
  private static final String POLICY =
      String.join(
          "; ",
          List.of(
              "default-src 'self'",
              "img-src 'self' data:",
              "style-src 'self'",
              "script-src 'self'",
              "object-src 'none'",
              "base-uri 'none'",
              "form-action 'self'",
              "frame-ancestors 'none'"));

  private final Sessions sessions;
  private final Listening listening;
  private final JsonMapper mapper;

  WebConfig(Sessions sessions, Listening listening, JsonMapper mapper) {
    this.sessions = sessions;
    this.listening = listening;
    this.mapper = mapper;
  }

  /**
   * What a stranger may ask for: who am I, sign me in, let me take an invitation; the product's own
   * tables and the hay sum, which touch no farm.
   */
  private static final String[] OPEN = {
    "/api/session",
    "/api/session/demo",
    "/api/people/first",
    "/api/invitations/*",
    "/api/openapi",
    "/api/catalogue",
    "/api/hay-sum"
  };

  @Bean
  SecurityFilterChain chain(HttpSecurity http) {
    return http.authorizeHttpRequests(
            a ->
                // what goes on after its first answer was let in with that
                a.dispatcherTypeMatchers(DispatcherType.ASYNC)
                    .permitAll()
                    .requestMatchers(OPEN)
                    .permitAll()
                    .requestMatchers("/api/**")
                    .authenticated()
                    .requestMatchers("/actuator/health/**")
                    .permitAll()
                    .requestMatchers("/actuator/**")
                    .hasAuthority(Sessions.RUNS_PRODUCT)
                    .anyRequest()
                    .permitAll())
        .addFilterBefore(sessions, AnonymousAuthenticationFilter.class)
        .securityContext(c -> c.securityContextRepository(new NullSecurityContextRepository()))
        .requestCache(c -> c.disable())
        .exceptionHandling(
            e ->
                e.authenticationEntryPoint(
                        (request, response, why) ->
                            refuse(response, HttpStatus.UNAUTHORIZED, ServerReason.SIGN_IN))
                    .accessDeniedHandler(
                        (request, response, why) ->
                            refuse(response, HttpStatus.FORBIDDEN, ServerReason.FORBIDDEN)))
        .csrf(c -> c.spa())
        .headers(WebConfig::headers)
        .formLogin(f -> f.disable())
        .httpBasic(b -> b.disable())
        .logout(l -> l.disable())
        .build();
  }

  private static void headers(HeadersConfigurer<HttpSecurity> h) {
    h.contentSecurityPolicy(p -> p.policyDirectives(POLICY))
        .referrerPolicy(r -> r.policy(ReferrerPolicy.NO_REFERRER))
        .permissionsPolicyHeader(p -> p.policy("camera=(), geolocation=(), microphone=()"))
        .crossOriginOpenerPolicy(
            p -> p.policy(CrossOriginOpenerPolicyHeaderWriter.CrossOriginOpenerPolicy.SAME_ORIGIN))
        .cacheControl(c -> c.disable());
  }

  private void refuse(HttpServletResponse response, HttpStatus status, Reason reason)
      throws IOException {
    ProblemDetail problem = Problems.problem(status, reason);
    response.setStatus(status.value());
    response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
    response.getOutputStream().write(mapper.writeValueAsBytes(problem));
  }

  /** The filter runs inside the security chain only. */
  @Bean
  FilterRegistrationBean<Sessions> notTwice() {
    FilterRegistrationBean<Sessions> registration = new FilterRegistrationBean<>(sessions);
    registration.setEnabled(false);
    return registration;
  }

  /**
   * People are known to {@link Sessions}; without this bean a user with a printed password would be
   * made up.
   */
  @Bean
  UserDetailsService nobody() {
    return name -> {
      throw new UsernameNotFoundException(name);
    };
  }

  @Bean
  StrictHttpFirewall ownHostsOnly() {
    StrictHttpFirewall firewall = new StrictHttpFirewall();
    firewall.setAllowedHostnames(listening::answersTo);
    return firewall;
  }

  /** What the firewall turns away never meets the chain: it gets the same headers here. */
  @Bean
  RequestRejectedHandler turnedAway() {
    return (request, response, why) -> {
      response.setHeader("Content-Security-Policy", POLICY);
      response.setHeader("X-Content-Type-Options", "nosniff");
      response.setHeader("X-Frame-Options", "DENY");
      response.setHeader("Referrer-Policy", "no-referrer");
      refuse(response, HttpStatus.BAD_REQUEST, ServerReason.REJECTED);
    };
  }

  @Override
  public void addResourceHandlers(ResourceHandlerRegistry registry) {
    registry
        .addResourceHandler("/assets/**")
        .addResourceLocations("classpath:/static/assets/")
        .setCacheControl(CacheControl.maxAge(365, TimeUnit.DAYS).cachePublic().immutable());
    registry
        .addResourceHandler("/**")
        .addResourceLocations("classpath:/static/")
        .setUseLastModified(false)
        .setCacheControl(CacheControl.noCache())
        .resourceChain(true)
        .addResolver(new IndexForDeepLinks());
  }

  /** Paths without a dot that are not the API's belong to the web client. */
  private static final class IndexForDeepLinks extends PathResourceResolver {
    @Override
    protected Resource getResource(String path, Resource location) throws IOException {
      Resource found = path.isEmpty() ? null : super.getResource(path, location);
      if (found != null) {
        return found;
      }
      boolean deepLink =
          !path.contains(".") && !path.startsWith("api") && !path.startsWith("actuator");
      return deepLink ? new ClassPathResource("/static/index.html") : null;
    }
  }
}
