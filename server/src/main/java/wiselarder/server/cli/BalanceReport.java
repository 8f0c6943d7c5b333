package wiselarder.server.cli;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import wiselarder.core.balance.HaySum;
import wiselarder.core.balance.Ledger;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.gap.Gap;
import wiselarder.core.plan.Farm;
import wiselarder.core.quantity.Units;
import wiselarder.server.json.Json;

/** A year's ledger as text, CSV or JSON. Amounts are dry matter, in the farm's own units. */
final class BalanceReport {
  private static final List<String> COLUMNS =
      List.of("need", "growing", "standing", "put_by", "bought_in", "bare", "grown", "in_store");

  private final YearBalance balance;
  private final List<Gap> gaps;
  private final boolean daily;
  private final boolean imperial;

  BalanceReport(YearBalance balance, List<Gap> gaps, boolean daily) {
    this.balance = balance;
    this.gaps = gaps;
    this.daily = daily;
    this.imperial = balance.stated().farm().units() == Farm.UnitSystem.IMPERIAL;
  }

  String print(String format) {
    return switch (format) {
      case "csv" -> csv();
      case "json" -> json();
      default -> text();
    };
  }

  private List<Ledger.Line> lines() {
    return daily ? Ledger.days(balance) : Ledger.months(balance);
  }

  private String text() {
    StringBuilder out = new StringBuilder();
    out.append(
        "%s, %s%n".formatted(balance.stated().farm().name(), balance.stated().plan().name()));
    out.append(
        "%s to %s, dry matter in %s%n%n"
            .formatted(
                balance.year().start(),
                balance.year().endExclusive().minusDays(1),
                imperial ? "lb" : "kg"));
    out.append("%-10s".formatted(daily ? "day" : "month"));
    COLUMNS.forEach(c -> out.append("%11s".formatted(c.replace('_', ' '))));
    out.append("%8s%n".formatted("opened"));
    lines().forEach(l -> row(out, label(l), l));
    row(out, "year", Ledger.total(balance));
    out.append('\n');
    gaps.forEach(g -> out.append(gap(g)));
    if (gaps.stream().noneMatch(g -> g.kind() == Gap.Kind.STORE)) {
      out.append("No day goes bare.\n");
    }
    out.append('\n');
    haySums(out);
    out.append(
        "%nEvery kilogram accounted for: error %.1e of what came in.%n"
            .formatted(balance.massBalance().error()));
    return out.toString();
  }

  private void row(StringBuilder out, String label, Ledger.Line line) {
    out.append("%-10s".formatted(label));
    for (double kg : amounts(line)) {
      out.append("%11s".formatted(String.format(Locale.ROOT, "%,d", Math.round(shown(kg)))));
    }
    out.append("%8d%n".formatted(line.unitsOpened()));
  }

  private String gap(Gap gap) {
    return "%s gap: %s to %s, %d days short, %,d %s, %,d animal unit days%n"
        .formatted(
            gap.kind() == Gap.Kind.STORE ? "Store" : "Grazing",
            balance.year().date(gap.firstDay()),
            balance.year().date(gap.lastDay()),
            gap.shortDays(),
            Math.round(shown(gap.shortKg())),
            imperial ? "lb" : "kg",
            Math.round(gap.animalUnitDays()));
  }

  private void haySums(StringBuilder out) {
    for (int l = 0; l < balance.stated().farm().lots().size(); l++) {
      var lot = balance.stated().farm().lots().get(l);
      out.append("Hay sum in %ss of %s:%n".formatted(lot.unitName(), lot.name()));
      List<HaySum> sums = HaySum.ofAll(balance, l);
      for (HaySum sum : sums) {
        out.append(
            "  %-28s %4d days %6d%n".formatted(groupName(sum.groupId()), sum.days(), sum.units()));
      }
      if (!sums.isEmpty()) {
        out.append(
            "  %-28s           %6d, and %d in store%n"
                .formatted("all groups", HaySum.together(sums).units(), lot.units()));
      }
    }
  }

  private String groupName(String id) {
    return balance.stated().farm().groups().stream()
        .filter(g -> g.id().equals(id))
        .findFirst()
        .orElseThrow()
        .name();
  }

  private String csv() {
    String unit = imperial ? "_lb" : "_kg";
    StringBuilder out = new StringBuilder(daily ? "date" : "month");
    COLUMNS.forEach(c -> out.append(',').append(c).append(unit));
    out.append(",units_opened\n");
    for (Ledger.Line line : lines()) {
      out.append(label(line));
      for (double kg : amounts(line)) {
        out.append(String.format(Locale.ROOT, ",%.3f", shown(kg)));
      }
      out.append(',').append(line.unitsOpened()).append('\n');
    }
    return out.toString();
  }

  private String json() {
    List<Map<String, Object>> rows = new ArrayList<>();
    for (Ledger.Line line : lines()) {
      Map<String, Object> row = new LinkedHashMap<>();
      row.put(daily ? "date" : "month", label(line));
      double[] amounts = amounts(line);
      for (int i = 0; i < amounts.length; i++) {
        row.put(COLUMNS.get(i) + "_kg", amounts[i]);
      }
      row.put("units_opened", line.unitsOpened());
      rows.add(row);
    }
    Map<String, Object> document = new LinkedHashMap<>();
    document.put("farm", balance.stated().farm().name());
    document.put("lines", rows);
    document.put("gaps", gaps);
    document.put("mass_balance", balance.massBalance());
    return Json.MAPPER.writerWithDefaultPrettyPrinter().writeValueAsString(document) + "\n";
  }

  private String label(Ledger.Line line) {
    LocalDate first = balance.year().date(line.startDay());
    return daily ? first.toString() : line.month().toString();
  }

  private static double[] amounts(Ledger.Line l) {
    return new double[] {
      l.needKg(),
      l.growingKg(),
      l.standingKg(),
      l.putByKg(),
      l.boughtInKg(),
      l.bareKg(),
      l.grownKg(),
      l.storeKg()
    };
  }

  private double shown(double kg) {
    return imperial ? Units.lb(kg) : kg;
  }
}
