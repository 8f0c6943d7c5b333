package wiselarder.server.watch;

import java.util.List;
import java.util.concurrent.TimeUnit;
import javax.sql.DataSource;
import net.ttddyy.dsproxy.ExecutionInfo;
import net.ttddyy.dsproxy.QueryInfo;
import net.ttddyy.dsproxy.listener.logging.DefaultQueryLogEntryCreator;
import net.ttddyy.dsproxy.listener.logging.SLF4JLogLevel;
import net.ttddyy.dsproxy.listener.logging.SLF4JSlowQueryListener;
import net.ttddyy.dsproxy.support.ProxyDataSourceBuilder;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.beans.factory.config.BeanPostProcessor;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Logs each query that takes longer than {@code larder.slow-query-ms}, without its parameters. */
@Configuration(proxyBeanMethods = false)
class SlowQueries {
  @Bean
  static BeanPostProcessor slowQueryLog(@Value("${larder.slow-query-ms}") long slowMs) {
    return new BeanPostProcessor() {
      @Override
      public Object postProcessAfterInitialization(Object bean, String name) {
        if (!(bean instanceof DataSource source)) {
          return bean;
        }
        SLF4JSlowQueryListener listener = new SLF4JSlowQueryListener(slowMs, TimeUnit.MILLISECONDS);
        listener.setLogger("wiselarder.slow-query");
        listener.setLogLevel(SLF4JLogLevel.WARN);
        listener.setQueryLogEntryCreator(new WithoutParameters());
        return ProxyDataSourceBuilder.create(source).name("larder").listener(listener).build();
      }
    };
  }

  /** Parameters hold people's addresses and whole plans: none of it belongs in a log. */
  private static final class WithoutParameters extends DefaultQueryLogEntryCreator {
    @Override
    protected void writeParamsEntry(
        StringBuilder line, ExecutionInfo execution, List<QueryInfo> queries) {
      // left out
    }
  }
}
