package wiselarder.server.walk;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.land.Field;
import wiselarder.core.plan.Farm;
import wiselarder.core.plan.Farm.UnitSystem;
import wiselarder.core.records.BirthsSeen;
import wiselarder.core.records.Fact;
import wiselarder.core.records.FarmRecord;
import wiselarder.core.records.FarmRecords;
import wiselarder.core.records.FieldHeld;
import wiselarder.core.records.FieldOpened;
import wiselarder.core.records.HeadCounted;
import wiselarder.core.records.HerdMoved;
import wiselarder.core.records.Noticed;
import wiselarder.core.records.PhotoTaken;
import wiselarder.core.records.StakeSeen;
import wiselarder.core.records.StemsSeen;
import wiselarder.server.file.Table;

/**
 * What was seen on walks besides covers, as a list for a spreadsheet; what counts, oldest first.
 */
final class SeenFile {
  private static final List<String> HEADER =
      List.of("date", "what", "field", "group", "value", "unit", "detail", "note", "who");

  private static final double CM_PER_INCH = 2.54;

  private final UnitSystem units;
  private final Map<String, String> fields;
  private final Map<String, String> groups;

  private SeenFile(Farm farm, UnitSystem units) {
    this.units = units;
    this.fields = farm.fields().stream().collect(Collectors.toMap(Field::id, Field::name));
    this.groups =
        farm.groups().stream().collect(Collectors.toMap(AnimalGroup::id, AnimalGroup::name));
  }

  /** What a fact says beside field and group. */
  private record Said(String what, Object value, String unit, String detail, String note) {}

  static Table of(Farm farm, FarmRecords records, UnitSystem units) {
    SeenFile file = new SeenFile(farm, units);
    List<List<Object>> rows = new ArrayList<>();
    records.standing().stream()
        .sorted((a, b) -> a.on().compareTo(b.on()))
        .forEach(
            r -> {
              Said said = file.said(r.fact());
              if (said != null) {
                rows.add(file.row(r, said));
              }
            });
    return new Table(HEADER, rows, false);
  }

  private List<Object> row(FarmRecord r, Said said) {
    return Arrays.asList(
        r.on(),
        said.what,
        fields.getOrDefault(r.fact().fieldId(), ""),
        groups.getOrDefault(r.fact().groupId(), ""),
        said.value,
        said.unit,
        said.detail,
        said.note,
        by(r));
  }

  /** Who wrote it; of what an instrument sent, which one, so that what is simulated says so. */
  static String by(FarmRecord r) {
    FarmRecord.Written w = r.written();
    return r.id().startsWith("instrument-") ? w.device() + ", of " + w.who() : w.who();
  }

  private Said said(Fact fact) {
    if (fact instanceof HerdMoved m) {
      return new Said("moved", null, "", m.fieldId() == null ? "off the fields" : "", m.note());
    } else if (fact instanceof HeadCounted c) {
      return new Said("head", c.head(), "head", word(c.why()), c.note());
    } else if (fact instanceof StakeSeen s) {
      String tips = s.tips() == null ? "" : ", tips " + word(s.tips());
      String at = s.stake() + (s.left() ? ", stock just left" : tips);
      return new Said("stake", depth(s.heightCm()), depthUnit(), at, s.note());
    } else if (fact instanceof StemsSeen s) {
      return new Said("stems", s.stems().size(), "stems", stages(s), s.note());
    } else if (fact instanceof FieldHeld h) {
      String until = h.until() == null ? "" : "until " + h.until();
      return new Said("shut", null, "", until, h.why());
    } else if (fact instanceof FieldOpened o) {
      return new Said("open again", null, "", "", o.why());
    } else if (fact instanceof BirthsSeen b) {
      return new Said("births", b.dams(), "dams", b.young() + " young live", b.note());
    } else if (fact instanceof PhotoTaken p) {
      return new Said("photo", null, "", "", p.note());
    } else if (fact instanceof Noticed n) {
      return noticed(n);
    }
    return null;
  }

  private Said noticed(Noticed n) {
    boolean imperial = units == UnitSystem.IMPERIAL;
    double of = n.amount() == null ? 0 : n.amount();
    return switch (n.what()) {
      case RAIN ->
          new Said("rain", round(imperial ? of / 25.4 : of), imperial ? "in" : "mm", "", n.note());
      case FROST ->
          new Said(
              "frost", round(imperial ? of * 1.8 + 32 : of), imperial ? "F" : "C", "", n.note());
      case SNOW -> new Said("snow", depth(of), depthUnit(), "", n.note());
      case SOIL -> new Said("soil", Math.round(100 * of), "% of its water", "", n.note());
      default -> new Said(word(n.what()), null, "", "", n.note());
    };
  }

  private static String stages(StemsSeen s) {
    Map<String, Long> counts =
        s.stems().stream()
            .collect(Collectors.groupingBy(StemsSeen.Stem::stageId, Collectors.counting()));
    return counts.entrySet().stream()
        .sorted(Map.Entry.comparingByKey())
        .map(e -> e.getValue() + " " + e.getKey().replace('_', ' '))
        .collect(Collectors.joining(", "));
  }

  private double depth(double cm) {
    return round(units == UnitSystem.IMPERIAL ? cm / CM_PER_INCH : cm);
  }

  private String depthUnit() {
    return units == UnitSystem.IMPERIAL ? "in" : "cm";
  }

  private static double round(double of) {
    return Math.round(100 * of) / 100.0;
  }

  private static String word(Enum<?> of) {
    return of.name().toLowerCase(Locale.ROOT);
  }
}
