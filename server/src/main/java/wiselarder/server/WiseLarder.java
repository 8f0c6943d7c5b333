package wiselarder.server;

import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.context.annotation.Bean;
import org.springframework.scheduling.annotation.EnableScheduling;
import wiselarder.core.engine.Engine;

/** The application. */
@SpringBootApplication
@EnableScheduling
public class WiseLarder {
  public static void main(String[] args) {
    SpringApplication.run(WiseLarder.class, args);
  }

  @Bean
  Engine engine() {
    return Engine.load();
  }
}
