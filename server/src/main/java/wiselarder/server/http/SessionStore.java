package wiselarder.server.http;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.session.config.SessionRepositoryCustomizer;
import org.springframework.session.jdbc.JdbcIndexedSessionRepository;

/** How sessions are kept. */
@Configuration
class SessionStore {
  /** That a session was used is written down once a minute, and not at every request. */
  private static final long USED_MS = 60_000;

  private static final String UPDATE =
      """
      update %%TABLE_NAME%% s
      set session_id = n.session_id, last_access_time = n.used, max_inactive_interval = n.idle,
          expiry_time = n.expiry, principal_name = n.who
      from (values (?, ?::bigint, ?::int, ?::bigint, ?, ?))
        as n (session_id, used, idle, expiry, who, id)
      where s.primary_id = n.id
        and (s.session_id <> n.session_id
          or s.principal_name is distinct from n.who
          or s.max_inactive_interval <> n.idle
          or n.used - s.last_access_time > %d)
      """
          .formatted(USED_MS);

  @Bean
  SessionRepositoryCustomizer<JdbcIndexedSessionRepository> sparingly() {
    return repository -> repository.setUpdateSessionQuery(UPDATE);
  }
}
