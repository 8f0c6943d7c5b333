package wiselarder.server.cli;

import java.io.PrintStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.engine.Engine;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.Season;
import wiselarder.core.quantity.CoreReason;
import wiselarder.core.quantity.Refused;
import wiselarder.core.records.FarmRecords;
import wiselarder.server.file.FarmFile;
import wiselarder.server.problem.ServerReason;

/** {@code larder balance FILE}: runs the core on a plan file and prints its ledger. */
public final class BalanceCommand {
  private static final String USAGE =
      """
      usage: larder balance FILE [--plan NAME] [--season KEY] [--daily] [--format text|csv|json]
      KEY is normal, dry, wet, seed:0 to seed:999999, recorded:ID:DATE or scenario:ID""";

  private BalanceCommand() {}

  public static void main(String[] args) {
    PrintStream out = new PrintStream(System.out, true, StandardCharsets.UTF_8);
    System.exit(run(args, out, System.err));
  }

  /** Runs the command. Returns 0, or 1 when the file is refused, or 2 when the call is wrong. */
  static int run(String[] args, PrintStream out, PrintStream err) {
    String file = null;
    boolean daily = false;
    String format = "text";
    String plan = null;
    String season = "normal";
    for (int i = 0; i < args.length; i++) {
      if (args[i].equals("--daily")) {
        daily = true;
      } else if (args[i].equals("--format") && i + 1 < args.length) {
        format = args[++i];
      } else if (args[i].equals("--plan") && i + 1 < args.length) {
        plan = args[++i];
      } else if (args[i].equals("--season") && i + 1 < args.length) {
        season = args[++i];
      } else if (!args[i].startsWith("--") && file == null) {
        file = args[i];
      } else {
        err.println(USAGE);
        return 2;
      }
    }
    if (file == null || !format.matches("text|csv|json")) {
      err.println(USAGE);
      return 2;
    }
    try {
      out.print(report(FarmFile.read(Path.of(file)), plan, season, daily).print(format));
      return 0;
    } catch (Refused e) {
      err.println(file + ": " + e.getMessage());
      if (e.reason() == CoreReason.UNKNOWN_SEASON) {
        err.println(USAGE);
      }
      return 1;
    } catch (UncheckedIOException e) {
      err.println(e.getMessage());
      return 1;
    }
  }

  private static BalanceReport report(
      FarmFile.Content content, String plan, String season, boolean daily) {
    Engine engine =
        Engine.load().knowing(FarmRecords.of(content.records())).in(Season.parse(season));
    YearBalance balance = engine.simulate(chosen(content, plan));
    return new BalanceReport(balance, engine.gaps(balance), daily);
  }

  /** The plan of that name, or the file's first. */
  private static FarmPlan chosen(FarmFile.Content content, String name) {
    return content.plans().stream()
        .filter(p -> name == null || p.plan().name().equals(name))
        .findFirst()
        .orElseThrow(
            () ->
                new Refused(
                    ServerReason.NO_SUCH_PLAN_IN_FILE,
                    "plan",
                    name,
                    content.plans().stream()
                        .map(p -> p.plan().name())
                        .collect(java.util.stream.Collectors.joining(", "))));
  }
}
