package wiselarder.server.catalogue;

import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import wiselarder.core.engine.Engine;

/** What can be chosen: forages, animals, containers, rules. */
@RestController
@RequestMapping("/api")
class CatalogueController {
  private final Engine engine;

  CatalogueController(Engine engine) {
    this.engine = engine;
  }

  @GetMapping("/catalogue")
  CatalogueView catalogue() {
    return CatalogueView.of(engine.catalogue());
  }
}
