package wiselarder.server.http;

import io.swagger.v3.core.converter.ModelConverters;
import io.swagger.v3.oas.models.Components;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.media.StringSchema;
import java.math.BigDecimal;
import java.time.MonthDay;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springdoc.core.utils.SpringDocUtils;
import org.springframework.boot.jackson.autoconfigure.JsonMapperBuilderCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import wiselarder.core.balance.SetOut;
import wiselarder.core.closing.StandReturn;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.forage.GrowthCurve;
import wiselarder.core.land.CoverMeasure;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.quantity.Reason;
import wiselarder.core.quantity.Stated;
import wiselarder.core.records.BirthsSeen;
import wiselarder.core.records.ConditionSeen;
import wiselarder.core.records.CoverSeen;
import wiselarder.core.records.FieldHeld;
import wiselarder.core.records.HeadCounted;
import wiselarder.core.records.HoldLifted;
import wiselarder.core.records.JobMarked;
import wiselarder.core.records.LotCounted;
import wiselarder.core.records.LotFed;
import wiselarder.core.records.LotTested;
import wiselarder.core.records.Noticed;
import wiselarder.core.records.StakeSeen;
import wiselarder.core.records.StemsSeen;
import wiselarder.server.json.Edits;
import wiselarder.server.json.Facts;
import wiselarder.server.json.Json;
import wiselarder.server.problem.Problem;

/** The API's description, from which the web client's types are made. */
@Configuration
class OpenApiConfig {
  private static final String DAY_OF_YEAR = "^--\\d\\d-\\d\\d$";

  static {
    SpringDocUtils.getConfig()
        .replaceWithSchema(MonthDay.class, new StringSchema().pattern(DAY_OF_YEAR));
  }

  /** Members that may be null; every member is there. */
  private static final Map<String, Set<String>> NULLABLE =
      Map.ofEntries(
          Map.entry(
              "Stand",
              Set.of(
                  "yieldKgPerHa",
                  "monthlyKgPerHaDay",
                  "openingCoverKgPerHa",
                  "fromInclusive",
                  "toExclusive")),
          Map.entry(
              "Field",
              Set.of(
                  "utilization",
                  "residualKgPerHa",
                  "turnInKgPerHa",
                  "soil",
                  "deductedHa",
                  "outline",
                  "paddocks",
                  "heights")),
          Map.entry("Heights", Set.of("enterCm", "leaveCm", "againCm", "winterCm")),
          Map.entry("Anchor", Set.of("ofId")),
          Map.entry("PolicyView", Set.of("side", "cost")),
          Map.entry("ThousandView", Set.of("result")),
          Map.entry(
              "FarmMorning",
              Set.of(
                  "plan",
                  "planName",
                  "units",
                  "verdict",
                  "day",
                  "lookedFrom",
                  "bareOn",
                  "missingKg",
                  "bareInTenOn",
                  "fed",
                  "years",
                  "until",
                  "nextOn",
                  "nextLast",
                  "next",
                  "late",
                  "lateJob",
                  "lateSince",
                  "lastSeen",
                  "reckonedAt")),
          Map.entry("VerdictCount", Set.of("verdict")),
          Map.entry("HoldView", Set.of("cost", "costInDrought", "paysUpTo", "shortCostAYear")),
          Map.entry("DateView", Set.of("groupId")),
          Map.entry("Rung", Set.of("sign", "below")),
          Map.entry("BaleField", Set.of("mostHeadDaysPerHa", "mixed")),
          Map.entry("Blend", Set.of("costPerTonneDm")),
          Map.entry("BreakField", Set.of("fromInclusive", "toExclusive", "downhillDeg")),
          Map.entry("BreakWinter", Set.of("from", "toExclusive", "betterDeg")),
          Map.entry("Grazier", Set.of("firstBirth")),
          Map.entry("BreakCaution", Set.of("on", "last")),
          Map.entry("BaleWinter", Set.of("from", "toExclusive", "mixture")),
          Map.entry("BaleSection", Set.of("from", "toExclusive", "offeredDays", "toTroughM")),
          Map.entry("OwnJob", Set.of("by")),
          Map.entry("JobMarked", Set.of("to")),
          Map.entry("HoldLifted", Set.of("fieldId", "lot")),
          Map.entry("JobView", Set.of("fieldId", "thing", "itemId", "mark")),
          Map.entry("JobMarkView", Set.of("to")),
          Map.entry("FeedView", Set.of("path")),
          Map.entry("InstrumentView", Set.of("lastAt", "path")),
          Map.entry("PhotoTaken", Set.of("fieldId")),
          Map.entry("Births", Set.of("lastOn")),
          Map.entry("Letters", Set.of("daysAhead", "next")),
          Map.entry("LettersRequest", Set.of("daysAhead")),
          Map.entry("SurplusCut", Set.of("cost")),
          Map.entry("FieldUse", Set.of("likeGrownKgPerHa")),
          Map.entry("AdviceView", Set.of("carriesShare", "carriesInDryShare")),
          Map.entry("OfferView", Set.of("feedId")),
          Map.entry("MixRequest", Set.of("sure", "hoursMost")),
          Map.entry("YearView", Set.of("shelves")),
          Map.entry("Shelves", Set.of("groupId", "block")),
          Map.entry("MarkView", Set.of("ofId")),
          Map.entry("Farm", Set.of("machines", "grid")),
          Map.entry("SetFarm", Set.of("machines", "grid")),
          Map.entry(
              "Lie", Set.of("slopeDeg", "distanceM", "soilTest", "waterLPerDay", "waterCostPerM3")),
          Map.entry("SoilTest", Set.of("ph", "phosphorusMgPerKg", "potassiumMgPerKg")),
          Map.entry(
              "Figures",
              Set.of(
                  "minResidualKgPerHa",
                  "ceilingKgPerHa",
                  "dmPerCmKgPerHa",
                  "entryHeightCm",
                  "exitHeightCm",
                  "regrazeHeightCm",
                  "winterLeaveHeightCm",
                  "cutHeightCm",
                  "utilizationSetStocked",
                  "utilizationRotational",
                  "utilizationStrip",
                  "senescencePerDay",
                  "standingLossPerMonth",
                  "rootDepthCm",
                  "droughtHold",
                  "winterHardyC",
                  "annualTypicalKgPerHa")),
          Map.entry("LotYear", Set.of("weighedErrorKg", "ripeness", "cost", "atMost", "leavings")),
          Map.entry("FieldWater", Set.of("supplyL", "haulingCost")),
          Map.entry("WeaningView", Set.of("scoreAtBirth")),
          Map.entry("HaySheet", Set.of("all")),
          Map.entry("Sent", Set.of("report")),
          Map.entry("Taken", Set.of("refused")),
          Map.entry("Written", Set.of("at")),
          Map.entry("PackageView", Set.of("size")),
          Map.entry("HeadChange", Set.of("untilExclusive", "toGroupId", "moneyPerHead")),
          Map.entry("Keeping", Set.of("conditionFloor", "conditionAtStart")),
          Map.entry(
              "Origin", Set.of("feedId", "cutOn", "makingPerUnit", "haulingPerUnit", "worth")),
          Map.entry(
              "UnitSize",
              Set.of(
                  "packageId",
                  "diameterM",
                  "widthM",
                  "lengthM",
                  "heightM",
                  "densityKgPerM3",
                  "rindCm")),
          Map.entry(
              "FeedTest",
              Set.of(
                  "dmShare",
                  "proteinPct",
                  "tdnPct",
                  "fibrePct",
                  "calciumPct",
                  "phosphorusPct",
                  "nitratePct")),
          Map.entry("LotFed", Set.of("groupId", "leftShare")),
          Map.entry("ConditionSeen", Set.of("weightKg")),
          Map.entry("CoverSeen", Set.of("perUnitKg", "baseKg", "coverKgPerHa", "deadShare")),
          Map.entry("FieldToWalk", Set.of("expectedCm", "grazedOn", "lastOn", "lastKgPerHa")),
          Map.entry("FeedAhead", Set.of("bareNormal", "bareDry")),
          Map.entry("Answer", Set.of("restDays", "rootsHold")),
          Map.entry("KindView", Set.of("guide")),
          Map.entry("StemAnswer", Set.of("setToCm")),
          Map.entry("Stem", Set.of("pointCm")),
          Map.entry("HerdMoved", Set.of("fieldId")),
          Map.entry("FieldHeld", Set.of("until")),
          Map.entry("StakeSeen", Set.of("tips")),
          Map.entry("Noticed", Set.of("fieldId", "amount")),
          Map.entry("HerdPlace", Set.of("fieldId")),
          Map.entry("Held", Set.of("until")),
          Map.entry("Round", Set.of("rain")),
          Map.entry(
              "StakeLine",
              Set.of("leftOn", "leftCm", "tips", "cmPerDay", "restDays", "enterCm", "toGoDays")),
          Map.entry("ReadingLine", Set.of("growthKgPerHaDay", "usualKgPerHaDay")),
          Map.entry("RecordLine", Set.of("struckBy")),
          Map.entry("Told", Set.of("name", "number", "words")),
          Map.entry("Member", Set.of("before", "after")),
          Map.entry("GrownRow", Set.of("proteinPct", "tdnPct", "cutProteinPct", "cutTdnPct")),
          Map.entry("ReturnView", Set.of("costPerKgGain")),
          Map.entry("EnoughView", Set.of("tdnNeedPct", "proteinNeedPct")),
          Map.entry(
              "RulesView",
              Set.of(
                  "rootDepthCm",
                  "droughtHoldShare",
                  "winterHardyC",
                  "entryHeightCm",
                  "exitHeightCm",
                  "regrazeHeightCm",
                  "winterLeaveHeightCm",
                  "cutHeightCm",
                  "dmPerCmKgPerHa",
                  "seedCostUsdPerHa",
                  "useByDays")),
          Map.entry("Soil", Set.of("depthCm")),
          Map.entry("Sowing", Set.of("yieldKgPerHa", "endsOn", "terms", "standing")),
          Map.entry("SowingTerms", Set.of("preparedOn", "leastSoilWaterShare", "spreadYears")),
          Map.entry("AheadYear", Set.of("firstShort")),
          Map.entry("AheadStand", Set.of("readyOn")),
          Map.entry("Standing", Set.of("heatDegreeDays", "state")),
          Map.entry("OpeningGround", Set.of("soilWaterShare", "state")),
          Map.entry("OpeningState", Set.of("young", "old", "dead")),
          Map.entry("Dressing", Set.of("pricePerKg")),
          Map.entry("Overlay", Set.of("fromInclusive", "toExclusive")),
          Map.entry("SowingOutcome", Set.of("chanceOfFailing", "daysLate", "waterPercentAtSowing")),
          Map.entry(
              "AnimalGroup",
              Set.of(
                  "flatIntakeKgPerHeadDay",
                  "birthStart",
                  "weaning",
                  "youngLeave",
                  "fromInclusive",
                  "toExclusive")),
          Map.entry("Lot", Set.of("pricePerTonneAsFed", "size", "reserve")),
          Map.entry("FeedStep", Set.of("fromInclusive", "toExclusive", "portion", "roundDays")),
          Map.entry("Portion", Set.of("share", "kgPerHeadDay")),
          Map.entry("Closing", Set.of("grazeUntilExclusive")),
          Map.entry("SellingOrder", Set.of("saleMoney")),
          Map.entry("LeverView", Set.of("cost")),
          Map.entry("PriceView", Set.of("low", "likely", "high")),
          Map.entry("BillLine", Set.of("priceId")),
          Map.entry("MixView", Set.of("buyingAllCost", "sureness")),
          Map.entry(
              "CropView", Set.of("gainLowKg", "gainHighKg", "costPerHa", "nitrogenCostPerHa")),
          Map.entry("PlanView", Set.of("undo", "redo")),
          Map.entry("Session", Set.of("who")),
          Map.entry("EditRequest", Set.of("onTopOf", "alsoIn")),
          Map.entry("Copy", Set.of("yearsOn", "carried", "sameAnimals")),
          Map.entry("Place", Set.of("onTopOf")),
          Map.entry("TrialRequest", Set.of("parts", "about", "shelves")),
          Map.entry("CautionView", Set.of("fieldId", "groupId", "lotId")));

  /** How the web client's JSON is read and written. */
  @Bean
  JsonMapperBuilderCustomizer kinds() {
    return builder -> Json.on(builder);
  }

  @Bean
  OpenApiCustomizer description() {
    return api -> {
      describeFacts(api.getComponents());
      describeEdits(api.getComponents());
      describeRefusals(api.getComponents());
      describeStated(api.getComponents());
      api.getComponents().getSchemas().forEach((name, schema) -> require(name, schema));
    };
  }

  /** A fact is one of its kinds, told apart by {@code kind}. */
  @SuppressWarnings({"rawtypes", "unchecked"})
  private static void describeFacts(Components components) {
    Schema any = new Schema();
    Facts.KINDS.forEach(
        (name, type) -> {
          Schema one = described(type, components);
          Schema kind = components.getSchemas().get(type.getSimpleName());
          kind.addProperty("kind", new Schema().types(Set.of("string"))._enum(List.of(name)));
          any.addOneOfItem(one);
        });
    components.addSchemas("Fact", any);
  }

  /** An edit has exactly one of its members; a file that replaces all is no edit of a client. */
  @SuppressWarnings({"rawtypes", "unchecked"})
  private static void describeEdits(Components components) {
    Schema any = new Schema().types(Set.of("object"));
    Edits.KINDS.forEach(
        (name, kind) -> {
          if (kind.type() != FarmPlan.class) {
            any.addProperty(
                name,
                kind.type() == String.class
                    ? new Schema().types(Set.of("string"))
                    : described(kind.type(), components));
          }
        });
    components.addSchemas("PlanEdit", any);
  }

  /** The values that come with each code, so that a client can hold a sentence for every one. */
  @SuppressWarnings({"rawtypes", "unchecked"})
  private static void describeRefusals(Components components) {
    Schema all = new Schema().types(Set.of("object"));
    Problem.REASONS.forEach(
        (code, reason) -> {
          Schema values = new Schema().types(Set.of("object"));
          for (Reason.Value v : reason.given()) {
            values.addProperty(v.name(), described(v.type()));
          }
          values.setRequired(reason.given().stream().map(Reason.Value::name).toList());
          values.setAdditionalProperties(false);
          all.addProperty(code, values);
        });
    components.addSchemas("Refusals", all);
  }

  /** Records in which a client states numbers and texts. */
  private static final Class<?>[] STATED = {
    FarmPlan.class,
    LotFed.class,
    LotCounted.class,
    LotTested.class,
    ConditionSeen.class,
    CoverSeen.class,
    JobMarked.class,
    HoldLifted.class,
    StemsSeen.class,
    FieldHeld.class,
    HeadCounted.class,
    StakeSeen.class,
    Noticed.class,
    BirthsSeen.class,
    GrowthCurve.class,
    CoverMeasure.class,
    CoverMeasure.Clip.class,
    SetOut.class,
    StandReturn.Candidate.class,
    StandReturn.Terms.class,
    PlanEdit.SplitField.class,
    PlanEdit.PartField.class
  };

  /** Every stated number and text with what is accepted, for the client's forms. */
  @SuppressWarnings({"rawtypes", "unchecked"})
  private static void describeStated(Components components) {
    Schema all = new Schema().types(Set.of("object"));
    for (Stated s : Stated.in(STATED)) {
      all.addProperty(s.name(), described(s));
    }
    components.addSchemas("Stated", all);
  }

  @SuppressWarnings({"rawtypes", "unchecked"})
  private static Schema described(Stated stated) {
    Schema one = new Schema();
    if (stated instanceof Stated.Figure n) {
      one.addType(n.whole() ? "integer" : "number");
      one.minimum(BigDecimal.valueOf(n.min())).maximum(BigDecimal.valueOf(n.max()));
    } else if (stated instanceof Stated.Text t) {
      one.types(Set.of("string"));
      one.minLength(t.lines() ? 0 : 1).maxLength(t.most());
    }
    if (stated instanceof Stated.Figure && stated.optional()) {
      one.addType("null");
    }
    return one;
  }

  @SuppressWarnings({"rawtypes", "unchecked"})
  private static Schema described(Reason.Type type) {
    return switch (type) {
      case NUMBER -> new Schema().types(Set.of("number"));
      case TEXT -> new Schema().types(Set.of("string"));
      case DAY -> new Schema().types(Set.of("string")).format("date");
      case DAY_OF_YEAR -> new Schema().types(Set.of("string")).pattern(DAY_OF_YEAR);
    };
  }

  /** A reference to a type, which is described where it is not yet. */
  @SuppressWarnings("rawtypes")
  private static Schema described(Class<?> type, Components components) {
    Map<String, Schema> read = ModelConverters.getInstance(true).readAll(type);
    read.forEach((key, schema) -> components.getSchemas().putIfAbsent(key, schema));
    // as it is by itself, not as one of a family
    components.addSchemas(type.getSimpleName(), read.get(type.getSimpleName()));
    return new Schema().$ref("#/components/schemas/" + type.getSimpleName());
  }

  @SuppressWarnings({"rawtypes", "unchecked"})
  private static void require(String name, Schema schema) {
    if (schema.getProperties() == null || name.equals("PlanEdit")) {
      return;
    }
    schema.setRequired(new ArrayList<>(schema.getProperties().keySet()));
    for (String key : NULLABLE.getOrDefault(name, Set.of())) {
      nullable(schema, key);
    }
  }

  /** A plain type may also be null; a named one is that or null. */
  @SuppressWarnings({"rawtypes", "unchecked"})
  private static void nullable(Schema schema, String key) {
    Schema member = (Schema) schema.getProperties().get(key);
    if (member.get$ref() == null) {
      member.addType("null");
    } else {
      Schema either = new Schema();
      either.setAnyOf(java.util.List.of(member, new Schema().types(Set.of("null"))));
      schema.getProperties().put(key, either);
    }
  }
}
