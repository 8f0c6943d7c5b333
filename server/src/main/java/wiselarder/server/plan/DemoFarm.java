package wiselarder.server.plan;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import wiselarder.core.plan.FarmPlan;
import wiselarder.server.file.PlanFile;

/** Loads the demo farm into an empty database. */
@Component
public class DemoFarm implements ApplicationRunner {
  private final PlanRepository repository;

  DemoFarm(PlanRepository repository) {
    this.repository = repository;
  }

  @Override
  @Transactional
  public void run(ApplicationArguments args) {
    if (repository.list().isEmpty()) {
      repository.insert("quillback", true, quillback());
    }
  }

  /** The demo farm as the product ships it. */
  public static FarmPlan quillback() {
    try (InputStream in = DemoFarm.class.getResourceAsStream("/demo/quillback.json")) {
      return PlanFile.read(new String(in.readAllBytes(), StandardCharsets.UTF_8));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
