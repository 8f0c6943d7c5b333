package wiselarder.server.http;

import jakarta.servlet.DispatcherType;
import java.io.IOException;
import java.time.LocalDate;
import java.util.concurrent.TimeUnit;
import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.Resource;
import org.springframework.format.FormatterRegistry;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
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
import wiselarder.server.problem.Answers;
import wiselarder.server.problem.ServerReason;

/** Security headers, CSRF, host check, and the web client's files. */
@Configuration
class WebConfig implements WebMvcConfigurer {
  private final Sessions sessions;
  private final Listening listening;
  private final Answers answers;

  WebConfig(Sessions sessions, Listening listening, Answers answers) {
    this.sessions = sessions;
    this.listening = listening;
    this.answers = answers;
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
                            answers.write(response, HttpStatus.UNAUTHORIZED, ServerReason.SIGN_IN))
                    .accessDeniedHandler(
                        (request, response, why) ->
                            answers.write(response, HttpStatus.FORBIDDEN, ServerReason.FORBIDDEN)))
        // instruments have no cookies: their address is all that lets them in
        .csrf(c -> c.spa().ignoringRequestMatchers("/instruments/*"))
        .headers(WebConfig::headers)
        .formLogin(f -> f.disable())
        .httpBasic(b -> b.disable())
        .logout(l -> l.disable())
        .build();
  }

  private static void headers(HeadersConfigurer<HttpSecurity> h) {
    h.contentSecurityPolicy(p -> p.policyDirectives(Answers.CONTENT_POLICY))
        .referrerPolicy(r -> r.policy(ReferrerPolicy.NO_REFERRER))
        .permissionsPolicyHeader(p -> p.policy("camera=(), geolocation=(self), microphone=()"))
        .crossOriginOpenerPolicy(
            p -> p.policy(CrossOriginOpenerPolicyHeaderWriter.CrossOriginOpenerPolicy.SAME_ORIGIN))
        .cacheControl(c -> c.disable());
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

  /** What the firewall turns away never meets the chain: it gets the same headers by itself. */
  @Bean
  RequestRejectedHandler turnedAway() {
    return (request, response, why) ->
        answers.write(response, HttpStatus.BAD_REQUEST, ServerReason.REJECTED);
  }

  /** Days of four figures for the year: others are sent to break a sum. */
  @Override
  public void addFormatters(FormatterRegistry registry) {
    registry.addConverter(
        String.class,
        LocalDate.class,
        text -> {
          if (!text.matches("\\d{4}-\\d\\d-\\d\\d")) {
            throw new IllegalArgumentException("a day is written as 2027-10-01");
          }
          return LocalDate.parse(text);
        });
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
