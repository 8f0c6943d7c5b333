package wiselarder.pocket;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Supplier;
import org.teavm.jso.JSExport;
import org.teavm.jso.JSObject;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.engine.Engine;
import wiselarder.core.plan.Catalogue;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.quantity.Refusal;
import wiselarder.core.quantity.Refused;
import wiselarder.core.records.CoverSeen;
import wiselarder.core.records.FarmRecord;
import wiselarder.core.records.FarmRecords;
import wiselarder.core.walk.Answer;
import wiselarder.core.walk.FieldHistory;
import wiselarder.core.walk.Round;
import wiselarder.core.walk.StemAnswer;

/**
 * The engine where there is no signal: the same classes as on the server, on one plan and what was
 * written down of its farm. Every function gives {@code {answer}} or {@code {refused}}.
 */
public final class Pocket {
  private static Engine tables;
  private static Engine engine;
  private static FarmPlan plan;

  private Pocket() {}

  /** Takes a plan, the farm's records and the seed of its dry year, as the server sends them. */
  @JSExport
  public static JSObject open(JSObject stated, JSObject records, double drySeed) {
    return told(
        () -> {
          if (tables == null) {
            tables = Engine.load();
          }
          List<FarmRecord> written = new ArrayList<>();
          for (int i = 0; i < Js.length(records); i++) {
            written.add(Codec.readFarmRecord(Js.item(records, i)));
          }
          plan = Codec.readFarmPlan(stated);
          Catalogue of = tables.catalogue();
          of.drySeasons()
              .takeDrySeed(of.climate(plan.farm().climateId()), plan.plan().year(), (long) drySeed);
          engine = tables.apart().knowing(FarmRecords.of(written));
          return Js.of(true);
        });
  }

  /** A round on a day; see {@link Round}. */
  @JSExport
  public static JSObject walk(String on) {
    return told(() -> Codec.writeRound(Round.of(engine, plan, LocalDate.parse(on))));
  }

  /** The readings so far, field by field, oldest first. */
  @JSExport
  public static JSObject readings() {
    return told(
        () -> {
          JSObject lines = Js.list();
          YearBalance year = engine.simulate(plan);
          for (int f = 0; f < plan.farm().fields().size(); f++) {
            FieldHistory.of(year, f).forEach(l -> Js.add(lines, Codec.writeFieldHistoryReadingLine(l)));
          }
          return lines;
        });
  }

  /** What a reading means; see {@link Answer}. */
  @JSExport
  public static JSObject answer(String on, JSObject reading) {
    return told(
        () -> {
          CoverSeen seen = Codec.readCoverSeen(reading);
          return Codec.writeAnswer(
              Answer.to(engine, plan, LocalDate.parse(on), seen));
        });
  }

  /** What split stems mean; see {@link StemAnswer}. */
  @JSExport
  public static JSObject stems(String on, JSObject stems) {
    return told(
        () ->
            Codec.writeStemAnswer(
                StemAnswer.to(engine, plan, LocalDate.parse(on), Codec.readStemsSeen(stems))));
  }

  /** As the server tells a refusal: code, place and values. */
  private static JSObject refused(Refusal refusal) {
    JSObject values = Js.object();
    refusal
        .values()
        .forEach(
            (name, value) ->
                Js.put(
                    values,
                    name,
                    value instanceof Number n ? Js.of(n.doubleValue()) : Js.of(value.toString())));
    JSObject told = Js.object();
    Js.put(told, "code", Js.of(refusal.reason().code()));
    Js.put(told, "field", Js.of(refusal.field()));
    Js.put(told, "values", values);
    return told;
  }

  private static JSObject told(Supplier<JSObject> what) {
    JSObject told = Js.object();
    try {
      Js.put(told, "answer", what.get());
    } catch (Refused e) {
      Js.put(told, "refused", refused(e.refusal()));
    }
    return told;
  }

  public static void main(String[] args) {}
}
