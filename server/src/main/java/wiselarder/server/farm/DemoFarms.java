package wiselarder.server.farm;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import wiselarder.server.file.FarmFile;
import wiselarder.server.people.People;
import wiselarder.server.people.Person;
import wiselarder.server.plan.PlanRepository;
import wiselarder.server.plan.Told;
import wiselarder.server.records.Records;

/** Loads the demo farms that are not there yet, and lets the visitor in. */
@Component
public class DemoFarms implements ApplicationRunner {
  /** Farm and plan carry the same name in addresses. */
  public static final List<String> NAMES =
      List.of("quillback", "campo-garza-mora", "spruce-hollow");

  private final FarmRepository farms;
  private final PlanRepository plans;
  private final Records records;
  private final People people;

  DemoFarms(FarmRepository farms, PlanRepository plans, Records records, People people) {
    this.records = records;
    this.farms = farms;
    this.plans = plans;
    this.people = people;
  }

  @Override
  @Transactional
  public void run(ApplicationArguments args) {
    farms.lockDemos(); // another process may start at the same time
    List<String> there = farms.demoSlugs();
    Person visitor = people.visitor();
    for (String name : NAMES) {
      if (!there.contains(name)) {
        FarmFile.Content content = read(name);
        long farm = farms.insert(name, content.name(), true);
        plans.insert(
            name, farm, visitor.id(), content.plans().get(0), Told.began(Told.How.BEGAN_DEMO));
        records.takeIn(farm, "demo", content.records());
      }
    }
    farms.letIntoDemos(visitor.id());
  }

  /** A demo farm as the product ships it: one plan. */
  public static FarmFile.Content read(String name) {
    try (InputStream in = DemoFarms.class.getResourceAsStream("/demo/" + name + ".json")) {
      return FarmFile.read(new String(in.readAllBytes(), StandardCharsets.UTF_8));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
