package wiselarder.server.work;

import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Reads what this process is for. */
@Configuration
class RoleConfig {
  @Bean
  Role role(@Value("${larder.role}") Role role) {
    return role;
  }
}
