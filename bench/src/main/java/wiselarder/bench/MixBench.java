package wiselarder.bench;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.LongStream;
import wiselarder.core.closing.LeastCost;
import wiselarder.core.closing.Lever;
import wiselarder.core.closing.LeverOption;
import wiselarder.core.closing.Trial;
import wiselarder.core.closing.Wishes;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.engine.Engine;
import wiselarder.core.gap.Gap;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.Season;
import wiselarder.core.store.Lot;
import wiselarder.server.file.FarmFile;

/**
 * The cheapest mix of ways on some farms, held against a second solver on the same programme, and
 * how long it takes. Yardstick: within 1% of the second solver's optimum; under 3 s.
 */
public final class MixBench {
  private static final Pattern OPTIMUM = Pattern.compile("Objective:\\s+obj = ([-0-9.e+]+)");

  private static final Lot HAY =
      new Lot("hay", "Hay", "round bale", 0, 400, 0.87, "s_barn", "f_ring_open", null, "");

  private static final int YEARS = 3;
  private static final double SURE = 0.8;

  private MixBench() {}

  /** Farm files as arguments; asks {@code glpsol}, which must be installed. */
  public static void main(String[] files) throws IOException, InterruptedException {
    for (String file : files) {
      FarmPlan plan = FarmFile.read(Path.of(file)).plans().get(0);
      for (String season : List.of("normal", "dry")) {
        one(plan.farm().name() + ", " + season, Engine.load().in(Season.parse(season)), plan);
      }
    }
    one("Sixty fields", Engine.load(), SeasonsBench.farm(60, 12));
  }

  private static void one(String name, Engine engine, FarmPlan plan)
      throws IOException, InterruptedException {
    Gap gap =
        engine.gaps(engine.simulate(plan)).stream()
            .filter(g -> g.kind() == Gap.Kind.STORE)
            .findFirst()
            .orElse(null);
    if (gap == null) {
      System.out.println(name + ": no gap");
      return;
    }
    long from = System.nanoTime();
    List<LeverOption> found = new Trial(engine, plan, gap).options(Lever.ofTheFarm());
    final long listed = System.nanoTime();
    List<List<PlanEdit>> ways = new ArrayList<>();
    found.forEach(o -> ways.add(o.edits()));
    LeastCost mix = LeastCost.of(engine, plan, gap, ways, HAY, Wishes.NONE);
    final long mixed = System.nanoTime();
    LeastCost.Programme programme = LeastCost.programme(List.of(engine), plan, gap, ways, HAY);
    List<Engine> simulated =
        LongStream.rangeClosed(1, YEARS)
            .mapToObj(seed -> engine.in(Season.simulated(seed)).apart())
            .toList();
    LeastCost.Programme several = LeastCost.programme(simulated, plan, gap, ways, HAY);
    final long before = System.nanoTime();
    LeastCost sure = LeastCost.sure(engine, plan, gap, ways, HAY, Wishes.NONE, SURE);
    final long after = System.nanoTime();
    System.out.printf(
        Locale.ROOT,
        "%s: %d ways in %d ms, mix in %d ms, cost %.0f (hay alone %.0f), left %.1f kg;"
            + " objective %.4f, second solver %.4f%n",
        name,
        ways.size(),
        (listed - from) / 1_000_000,
        (mixed - listed) / 1_000_000,
        mix.cost(),
        mix.buyingAllCost(),
        mix.leftKg(),
        programme.objective(),
        second(programme.lp()));
    System.out.printf(
        Locale.ROOT,
        "  %d years at once: objective %.4f, second solver %.4f; in %.0f%% of years: %d ms, cost"
            + " %.0f, closed in %d%n",
        YEARS,
        several.objective(),
        second(several.lp()),
        100 * SURE,
        (after - before) / 1_000_000,
        sure.cost(),
        sure.sureness().closedAfter());
  }

  private static double second(String lp) throws IOException, InterruptedException {
    Path in = Files.createTempFile("mix", ".lp");
    Path out = Files.createTempFile("mix", ".txt");
    Files.writeString(in, lp, StandardCharsets.UTF_8);
    Process solver =
        new ProcessBuilder("glpsol", "--lp", in.toString(), "-o", out.toString())
            .redirectOutput(ProcessBuilder.Redirect.DISCARD)
            .start();
    if (solver.waitFor() != 0) {
      throw new IOException("glpsol refused the programme");
    }
    Matcher found = OPTIMUM.matcher(Files.readString(out, StandardCharsets.UTF_8));
    if (!found.find()) {
      throw new IOException("glpsol found no optimum");
    }
    return Double.parseDouble(found.group(1));
  }
}
