package wiselarder.server.http;

import java.io.IOException;
import java.util.List;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.Resource;
import org.springframework.http.CacheControl;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.firewall.StrictHttpFirewall;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.servlet.resource.PathResourceResolver;

/** Security headers, CSRF, host check, and the web client's files. */
@Configuration
class WebConfig implements WebMvcConfigurer {
  private static final Set<String> LOOPBACK = Set.of("127.0.0.1", "localhost", "[::1]", "::1");

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

  /**
   * No sign-in yet: the product serves loopback only. Foreign pages are kept out by the CSRF token
   * and by refusing any other host name.
   */
  @Bean
  SecurityFilterChain chain(HttpSecurity http) {
    return http.authorizeHttpRequests(a -> a.anyRequest().permitAll())
        .csrf(c -> c.spa())
        .headers(
            h ->
                h.contentSecurityPolicy(p -> p.policyDirectives(POLICY))
                    .referrerPolicy(
                        r ->
                            r.policy(
                                org.springframework.security.web.header.writers
                                    .ReferrerPolicyHeaderWriter.ReferrerPolicy.NO_REFERRER))
                    .cacheControl(c -> c.disable()))
        .formLogin(f -> f.disable())
        .httpBasic(b -> b.disable())
        .logout(l -> l.disable())
        .build();
  }

  /** Nobody can sign in; without this bean a user with a printed password would be made up. */
  @Bean
  UserDetailsService nobody() {
    return name -> {
      throw new UsernameNotFoundException(name);
    };
  }

  @Bean
  StrictHttpFirewall loopbackOnly() {
    StrictHttpFirewall firewall = new StrictHttpFirewall();
    firewall.setAllowedHostnames(LOOPBACK::contains);
    return firewall;
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
