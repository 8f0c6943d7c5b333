package wiselarder.server.jobs;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import java.util.Map;
import wiselarder.core.caution.Hazard;
import wiselarder.core.jobs.Job;
import wiselarder.core.plan.Sign;

/** A job in words: what is done, why, and what it needs. */
final class JobWords {
  private static final DateTimeFormatter DAY =
      DateTimeFormatter.ofPattern("d MMMM", Locale.ENGLISH);

  private final JobUnits units;
  private final Map<String, Hazard> hazards;

  JobWords(JobUnits units, Map<String, Hazard> hazards) {
    this.units = units;
    this.hazards = hazards;
  }

  static String day(LocalDate date) {
    return DAY.format(date);
  }

  private static String head(Job j) {
    return count(j, Job.What.HEAD);
  }

  private static String count(Job j, Job.What what) {
    return JobUnits.whole(j.figure(what));
  }

  private static boolean has(Job j, Job.What what) {
    return !Double.isNaN(j.figure(what));
  }

  private static String forWhom(Job j) {
    return j.with().isEmpty() ? "those in the order of feeds" : j.with();
  }

  private static String units(Job j) {
    return has(j, Job.What.UNITS) && j.figure(Job.What.UNITS) > 0
        ? ", " + JobUnits.whole(j.figure(Job.What.UNITS))
        : "";
  }

  /** What is done, on one line. */
  String title(Job j) {
    return switch (j.kind()) {
      case SHUT -> "Shut " + j.of();
      case GRAZE_SHORT -> "Graze " + j.of() + " short";
      case OPEN -> "Open " + j.of();
      case OFF -> "Stock off " + j.of();
      case TEST_SOIL -> "Test the soil of " + j.of();
      case ORDER_SEED -> "Order seed of " + j.with() + " for " + j.of();
      case FALLOW -> "Begin the fallow of " + j.of();
      case SPRAY -> "Burn down the sod of " + j.of();
      case BURN -> "Burn off what stands on " + j.of();
      case DISK -> "Disk " + j.of() + " lightly";
      case SEEDBED -> "Begin the seedbed of " + j.of();
      case SOW -> "Sow " + j.with() + " on " + j.of();
      case FIRST_USE -> "Look whether " + j.with() + " on " + j.of() + " is ready";
      case LAST_USE -> "Last use of " + j.with() + " on " + j.of();
      case TERMINATE -> "End " + j.with() + " on " + j.of();
      case CATCH_CROP -> "Sow something behind " + j.with() + " on " + j.of();
      case ORDER_NITROGEN -> "Order nitrogen for " + j.of();
      case NITROGEN -> "Nitrogen on " + j.of();
      case WATER -> "Water " + j.of();
      case LIGHT_PASS -> "Light passes over " + j.of();
      case CUT -> "Cut " + j.of();
      case COUNT_BALES -> j.of().isEmpty() ? "Count the bales" : "Count the bales of " + j.of();
      case TAKE_SAMPLE -> "Take a sample of " + j.of();
      case BUY -> "Buy " + j.of() + units(j);
      case OPEN_RESERVE -> "The reserve of " + j.of() + " may be opened";
      case SET_OUT -> "Set out " + count(j, Job.What.UNITS) + " bales: " + j.of();
      case OPEN_BALES ->
          "Open " + count(j, Job.What.UNITS) + " bales on " + j.of() + ", section " + j.with();
      case GIVE_BREAK -> "Break " + j.with() + " on " + j.of();
      case STRINGS_OFF -> "Strings or net off " + j.of();
      case MARK_PADS -> "Mark where the bales of " + j.of() + " stood";
      case SPREAD_PADS -> "Spread the pads of " + j.of();
      case OFF_CROP -> j.of() + " off " + j.with();
      case FIRST_BIRTH -> "Ready for the first births: " + j.of();
      case CONDITION -> "Score the condition of " + j.of();
      case WEAN -> "Wean the young of " + j.of();
      case SELL -> "Sell " + head(j) + " from " + j.of();
      case BUY_STOCK -> "Take " + head(j) + " into " + j.of();
      case SEND_AWAY -> "Send " + head(j) + " from " + j.of() + " away";
      case FETCH_BACK -> "Fetch " + head(j) + " back to " + j.of();
      case MOVE_GROUP -> "Move " + head(j) + " from " + j.of() + " to " + j.with();
      case CAUTION -> caution(j).title() + (j.of().isEmpty() ? "" : ": " + j.of());
      case RUNG, OWN -> j.of();
    };
  }

  Hazard caution(Job j) {
    return hazards.get(j.with());
  }

  private static String wanted(Job j) {
    return j.wanted() == null ? "" : day(j.wanted());
  }

  /** Why, and what stands behind its dates. */
  String why(Job j) {
    return switch (j.kind()) {
      case SHUT -> "What grows from then on is kept for " + forWhom(j) + " from " + wanted(j) + ".";
      case GRAZE_SHORT ->
          j.with().isEmpty()
              ? "Short on "
                  + wanted(j)
                  + (has(j, Job.What.HEIGHT_CM)
                      ? ", about " + units.height(j.figure(Job.What.HEIGHT_CM))
                      : "")
                  + ": what is kept from then on is young leaf."
              : "Short on " + wanted(j) + ": the old sod is not to shade " + j.with() + " out.";
      case OPEN ->
          "Kept for "
              + forWhom(j)
              + (has(j, Job.What.KG_DM_PER_HA)
                  ? "; " + units.massPerArea(j.figure(Job.What.KG_DM_PER_HA)) + " expected"
                  : "")
              + ". In strips it goes further.";
      case OFF -> "From the next day on it is not to be grazed.";
      case TEST_SOIL ->
          "For what is put on from "
              + wanted(j)
              + ". It says acidity, phosphorus and potassium: what is low there is put right first, "
              + "as nitrogen is wasted on it. Ask your adviser how much.";
      case ORDER_SEED ->
          (has(j, Job.What.SEED_KG) ? units.weight(j.figure(Job.What.SEED_KG)) + " to buy; " : "")
              + "sown on "
              + wanted(j)
              + ".";
      case FALLOW -> "It stores water" + (j.wanted() == null ? "." : " until " + wanted(j) + ".");
      case BURN ->
          "Fire takes the old growth, so that "
              + j.with()
              + " finds soil and light. Only where it is permitted, by people who know it, with"
              + " breaks made and neighbours told: ask your fire service and your adviser.";
      case SPRAY ->
          "So long before sowing on "
              + wanted(j)
              + ". What, how much, when stock may come back and how far from water: the label.";
      case DISK, SEEDBED -> "For sowing " + j.with() + " on " + wanted(j) + ".";
      case SOW ->
          has(j, Job.What.KG_DM_PER_HA) && j.figure(Job.What.KG_DM_PER_HA) > 0
              ? "In this season it grows "
                  + units.massPerArea(j.figure(Job.What.KG_DM_PER_HA))
                  + " in the plan."
              : "";
      case FIRST_USE ->
          "Height"
              + (has(j, Job.What.HEIGHT_CM)
                  ? " of " + units.height(j.figure(Job.What.HEIGHT_CM))
                  : "")
              + ", and roots that hold when a handful is pulled. Height alone is not enough.";
      case LAST_USE -> "It ends in the plan the day after.";
      case TERMINATE ->
          j.wanted() == null
              ? "As the plan ends it."
              : "The sod below greens up about "
                  + wanted(j)
                  + ": what still stands over it then shades it out.";
      case CATCH_CROP -> "Nothing follows in the plan: bare ground loses nitrogen and soil.";
      case ORDER_NITROGEN ->
          units.weight(j.figure(Job.What.KG_N)) + " of nitrogen, put on " + wanted(j) + ".";
      case NITROGEN ->
          units.massPerArea(j.figure(Job.What.KG_N_PER_HA))
              + " of nitrogen, "
              + units.weight(j.figure(Job.What.KG_N))
              + " in all. What it grows in a year takes up about "
              + units.massPerArea(j.figure(Job.What.KG_N_TAKEN_UP_PER_HA))
              + ", from soil, clover and bag together: with more expected, more, and dearer."
              + (has(j, Job.What.CLOVER_PERCENT)
                  ? " Clover is "
                      + JobUnits.whole(j.figure(Job.What.CLOVER_PERCENT))
                      + "% of what stands: it brings its own, and nitrogen drives it out. Think of less, or none."
                  : "")
              + " Not before heavy rain, on snow or near water; label and local code.";
      case WATER -> units.water(j.figure(Job.What.MM)) + ".";
      case LIGHT_PASS ->
          j.with()
              + " take it down to "
              + units.massPerArea(j.figure(Job.What.KG_DM_PER_HA))
              + " whenever it is tall, for light and not for feed. How often, the weather decides.";
      case CUT ->
          "Between boot and full head; earlier there is less, later it is stem. Expected: "
              + JobUnits.whole(j.figure(Job.What.UNITS))
              + " "
              + j.with()
              + "s from "
              + units.area(j.figure(Job.What.HA))
              + ".";
      case COUNT_BALES ->
          has(j, Job.What.KG_DM)
              ? "The plan expects "
                  + units.bulk(j.figure(Job.What.KG_DM))
                  + " of dry matter in store. What you count takes its place."
              : "And weigh a few: what was made takes the place of what was expected.";
      case TAKE_SAMPLE ->
          (j.wanted() == null
                  ? ""
                  : "First fed about " + wanted(j) + "; the laboratory needs two weeks. ")
              + "From many bales, to the core.";
      case BUY ->
          units.bulk(j.figure(Job.What.KG_DM))
              + " of dry matter"
              + (j.wanted() == null ? "" : ", first fed about " + wanted(j))
              + ". What is short later is dearer.";
      case OPEN_RESERVE ->
          JobUnits.whole(j.figure(Job.What.UNITS))
              + " units were kept back; what is not used rolls into the ordinary stock.";
      case SET_OUT ->
          "First grazed about "
              + wanted(j)
              + ". While the ground carries a tractor; away from water.";
      case OPEN_BALES ->
          "Strings, net or film come off and are taken away first: eaten, they kill. Then the wire.";
      case GIVE_BREAK ->
          "After the fibre feed, not on empty stomachs. Look at every head, the water and the wire.";
      case STRINGS_OFF ->
          "Before "
              + wanted(j)
              + ": frozen on, they do not come off, and what is eaten with them kills. Count them back in.";
      case MARK_PADS -> "So that next winter's bales stand elsewhere, where the ground is poorer.";
      case SPREAD_PADS -> "When the ground is dry: what was left lets nothing grow below it.";
      case OFF_CROP ->
          "The first birth is expected on "
              + wanted(j)
              + " and can come early. Nobody gives birth on a crop: clean sod with shelter.";
      case FIRST_BIRTH ->
          "From "
              + wanted(j)
              + ", "
              + JobUnits.whole(j.figure(Job.What.HEAD))
              + " head: dry, "
              + "sheltered ground, and need that rises with every birth.";
      case CONDITION ->
          j.key().contains("-weaned-")
              ? "At weaning: who is thin now can still be fed up cheaply."
              : "Before the births of "
                  + wanted(j)
                  + ": what is missing now can still be put on, later it cannot.";
      case WEAN ->
          JobUnits.whole(j.figure(Job.What.HEAD))
              + " young. Need falls the day after. Quietly, with good feed and a fence that holds.";
      case SELL, BUY_STOCK, SEND_AWAY, FETCH_BACK, MOVE_GROUP -> "As the plan has it.";
      case CAUTION -> caution(j).action();
      case RUNG -> rung(j);
      case OWN -> j.with();
    };
  }

  private String rung(Job j) {
    if (j.with().isEmpty()) {
      return "A rung of your drought plan.";
    }
    String said =
        switch (Sign.valueOf(j.with())) {
          case STANDS ->
              "less than "
                  + units.massPerArea(j.figure(Job.What.KG_DM_PER_HA))
                  + " stands on the farm";
          case STORE -> "less than " + units.bulk(j.figure(Job.What.KG_DM)) + " is in store";
          case GROWTH ->
              "growth of the last month is under "
                  + units.rate(j.figure(Job.What.KG_DM_PER_HA_DAY));
          case SOIL_WATER ->
              "the soil holds less than "
                  + JobUnits.whole(j.figure(Job.What.PERCENT))
                  + "% of the water it can";
          case RAIN ->
              "less than "
                  + units.water(j.figure(Job.What.MM))
                  + " of rain has fallen in sixty days";
        };
    return "A rung of your drought plan: if "
        + said
        + ", this is done. A forecast of rain counts as none.";
  }

  /** What it needs beside hands. */
  String needs(Job j) {
    return switch (j.kind()) {
      case CUT -> "three dry days";
      case SPRAY -> "a still, dry day; who may spray";
      case BURN -> "a permit, a crew, the right wind";
      case SOW -> "moist ground that carries the drill";
      case NITROGEN -> "growth, and rain to wash it in, not to wash it away";
      case SET_OUT, SPREAD_PADS, DISK, SEEDBED, FALLOW -> "ground that carries a tractor";
      case TAKE_SAMPLE -> "a hay probe";
      case WEAN, SELL, SEND_AWAY, MOVE_GROUP, FETCH_BACK, BUY_STOCK -> "yards";
      case CAUTION -> "ask: " + caution(j).whoToAsk();
      default -> "";
    };
  }
}
