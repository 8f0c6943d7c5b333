package wiselarder.server;

import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import wiselarder.core.plan.FarmPlan;
import wiselarder.server.farm.DemoFarms;
import wiselarder.server.file.FarmFile;

/** Every operation of the API with a body that it takes, and who may call it. */
public final class Operations {
  private Operations() {}

  /** Who may call it: anybody, anybody signed in, or a role on the farm. */
  public enum Needs {
    NOBODY,
    SIGN_IN,
    READER,
    HELPER,
    PLANNER,
    OWNER
  }

  public record Call(Needs needs, String type, String body) {}

  public static final FarmPlan DEMO = DemoFarms.read("quillback").plans().get(0);
  public static final String FILE =
      FarmFile.write(
          new FarmFile.Content("Some farm", List.of(DEMO), DemoFarms.read("quillback").records()));

  private static Call json(Needs needs, String body) {
    return new Call(needs, "application/json", body);
  }

  private static Call bare(Needs needs) {
    return new Call(needs, null, null);
  }

  private static final String EDIT = "{\"setYear\": {\"start\": \"2027-10-01\", \"months\": 12}}";
  private static final String PERSON =
      "{\"name\": \"New\", \"email\": \"new@farm.example\", \"password\": \"red clover hay\"}";
  private static final String ROWS = "name,area_ha\nSaddle,6\n";

  private static final String CALENDAR =
      """
      BEGIN:VCALENDAR\r
      VERSION:2.0\r
      PRODID:-//Somebody//Diary//EN\r
      BEGIN:VEVENT\r
      UID:1@diary.example\r
      DTSTAMP:20270901T080000Z\r
      DTSTART;VALUE=DATE:20271104\r
      SUMMARY:Order twine\r
      END:VEVENT\r
      END:VCALENDAR\r
      """;

  private static final String WEATHER =
      "date,tmin_c,tmax_c,rain_mm\n2019-09-01,8,20,4\n2019-09-02,9,21,0\n";

  private static final String OUTLINE =
      """
      {"edge": [{"eastM": 0, "northM": 0}, {"eastM": 100, "northM": 0}, {"eastM": 0, "northM": 90}],
       "off": []}""";
  private static final String MAP =
      """
      {"type": "FeatureCollection", "features": [{"type": "Feature",
       "properties": {"name": "Saddle"}, "geometry": {"type": "Polygon", "coordinates":
        [[[-40, 36.9], [-39.998, 36.9], [-39.998, 36.902], [-40, 36.9]]]}}]}""";

  private static final String BREAKS =
      """
      {"id": "k", "fieldId": "saddle", "fromInclusive": null, "toExclusive": null,
       "towardsDeg": 180, "downhillDeg": null, "daysEach": 2, "blocks": 1, "backFence": true,
       "waterM": 10, "places": [],
       "written": {"who": "", "shelter": "", "wet": "", "rules": ""}}""";

  private static final String BALES =
      """
      {"id": "b", "fieldId": "saddle", "lotId": "fescue-rounds", "bales": 20, "atOnce": 4,
       "counts": [], "spacing": {"alongM": 10, "acrossM": 12, "rowsDeg": 0, "shiftAlongM": 0,
       "shiftAcrossM": 0}, "edgeM": 8, "waterM": 0, "fromLast": false, "mostHeadDaysPerHa": null,
       "places": [], "padWinters": 2, "onEnd": false, "stringsOnDay": false, "asMade": false, "mixed": null}""";

  private static final String QUICK =
      """
      {"farmName": "Ten", "climateId": "transition_humid", "units": "METRIC", "currency": "EUR",
       "kind": "beef/cow", "head": 10, "weightKg": 550, "from": "2027-11-15", "to": "2028-04-14",
       "packageId": "rb_150x120_net", "kgPerUnitAsFed": 365, "storageMethodId": "s_barn",
       "feedingMethodId": "f_ring_open"}""";

  /** Every operation of the API. One that is missing here fails the test. */
  public static final Map<String, Call> CALLS = new TreeMap<>();

  static {
    CALLS.put("GET /api/session", bare(Needs.NOBODY));
    CALLS.put("POST /api/session", json(Needs.NOBODY, "{\"email\": \"x@y\", \"password\": \"z\"}"));
    CALLS.put("DELETE /api/session", bare(Needs.NOBODY));
    CALLS.put("POST /api/session/demo", json(Needs.NOBODY, "{}"));
    CALLS.put("POST /api/people/first", json(Needs.NOBODY, PERSON));
    CALLS.put("GET /api/invitations/{token}", bare(Needs.NOBODY));
    CALLS.put("POST /api/invitations/{token}", json(Needs.NOBODY, PERSON));
    CALLS.put("POST /api/invitations/{token}/mine", json(Needs.SIGN_IN, "{}"));
    CALLS.put(
        "POST /api/people/password",
        json(Needs.SIGN_IN, "{\"old\": \"wrong\", \"password\": \"red clover hay\"}"));
    CALLS.put("GET /api/sessions", bare(Needs.SIGN_IN));
    CALLS.put("DELETE /api/sessions", bare(Needs.SIGN_IN));
    CALLS.put("DELETE /api/sessions/{session}", bare(Needs.SIGN_IN));
    CALLS.put("GET /api/plans/{id}/winter", bare(Needs.READER));
    CALLS.put("GET /api/plans/{id}/winter/sites", bare(Needs.READER));
    CALLS.put("POST /api/plans/{id}/winter", json(Needs.READER, BALES));
    CALLS.put("GET /api/plans/{id}/winter/breaks", bare(Needs.READER));
    CALLS.put("POST /api/plans/{id}/winter/breaks", json(Needs.READER, BREAKS));
    CALLS.put("GET /api/catalogue", bare(Needs.NOBODY));
    CALLS.put("GET /api/farms", bare(Needs.SIGN_IN));
    CALLS.put("GET /api/mornings", bare(Needs.SIGN_IN));
    CALLS.put("POST /api/mornings", json(Needs.SIGN_IN, "{}"));
    CALLS.put("GET /api/mornings/file", bare(Needs.SIGN_IN));
    CALLS.put(
        "POST /api/farms",
        json(
            Needs.SIGN_IN,
            """
            {"name": "Mine", "climateId": "transition_humid", "units": "METRIC", "currency": "EUR",
             "start": "2027-10-01"}"""));
    CALLS.put("POST /api/farms/file", json(Needs.SIGN_IN, FILE));
    CALLS.put("POST /api/farms/file/preview", json(Needs.SIGN_IN, FILE));
    CALLS.put("GET /api/farms/{farm}/file", bare(Needs.READER));
    CALLS.put("POST /api/farms/{farm}/file", json(Needs.PLANNER, FILE));
    CALLS.put("DELETE /api/farms/{farm}", bare(Needs.OWNER));
    CALLS.put("GET /api/farms/{farm}/plans", bare(Needs.READER));
    CALLS.put("GET /api/farms/{farm}/people", bare(Needs.READER));
    CALLS.put(
        "POST /api/farms/{farm}/invitations",
        json(Needs.OWNER, "{\"name\": \"Bea\", \"role\": \"READER\"}"));
    CALLS.put("DELETE /api/farms/{farm}/invitations/{invitation}", bare(Needs.OWNER));
    CALLS.put("PUT /api/farms/{farm}/people/{member}", json(Needs.OWNER, "{\"role\": \"OWNER\"}"));
    CALLS.put("DELETE /api/farms/{farm}/people/{member}", bare(Needs.OWNER));
    CALLS.put("GET /api/plans/{id}", bare(Needs.READER));
    CALLS.put("DELETE /api/plans/{id}", bare(Needs.OWNER));
    CALLS.put(
        "POST /api/plans/{id}/edits",
        json(
            Needs.PLANNER,
            "{\"revision\": 1, \"onTopOf\": null, \"edits\": [%s], \"alsoIn\": []}"
                .formatted(EDIT)));
    CALLS.put(
        "POST /api/plans/{id}/trial",
        json(
            Needs.READER,
            "{\"edits\": [%s], \"parts\": [\"GROUPS\"], \"about\": \"cows\"}".formatted(EDIT)));
    CALLS.put("POST /api/plans/{id}/undo", json(Needs.PLANNER, "{\"revision\": 1}"));
    CALLS.put("POST /api/plans/{id}/redo", json(Needs.PLANNER, "{\"revision\": 1}"));
    CALLS.put("POST /api/plans/{id}/back", json(Needs.PLANNER, "{\"revision\": 1, \"to\": 1}"));
    CALLS.put("GET /api/plans/{id}/history", bare(Needs.READER));
    CALLS.put("GET /api/plans/{id}/history/{revision}", bare(Needs.READER));
    CALLS.put("POST /api/plans/{id}/copy", json(Needs.PLANNER, "{\"name\": \"Wet year\"}"));
    CALLS.put("GET /api/plans/{id}/mixture", bare(Needs.READER));
    CALLS.put(
        "POST /api/plans/{id}/together",
        json(
            Needs.READER,
            "{\"id\": \"s\", \"fieldId\": \"saddle\", \"forageId\": \"cereal_rye\", \"sowOn\":"
                + " \"2027-09-20\", \"preparation\": \"GRAZE_DOWN\", \"yieldKgPerHa\": null,"
                + " \"seedShare\": 1, \"endsOn\": null, \"standing\": null}"));
    CALLS.put("GET /api/plans/{id}/next", bare(Needs.READER));
    CALLS.put("GET /api/plans/{id}/ahead", bare(Needs.READER));
    CALLS.put("GET /api/plans/{id}/before", bare(Needs.READER));
    CALLS.put("GET /api/plans/{id}/begin", bare(Needs.READER));
    CALLS.put(
        "POST /api/plans/{id}/begin",
        json(Needs.PLANNER, "{\"revision\": 1, \"from\": \"{id}\", \"sameAnimals\": []}"));
    CALLS.put("GET /api/plans/{id}/levers", bare(Needs.READER));
    CALLS.put("POST /api/plans/{id}/thousand", bare(Needs.READER));
    CALLS.put("GET /api/plans/{id}/thousand", bare(Needs.READER));
    CALLS.put("DELETE /api/plans/{id}/thousand", bare(Needs.READER));
    CALLS.put("GET /api/plans/{id}/thousand/hold", bare(Needs.READER));
    CALLS.put("GET /api/plans/{id}/thousand/near", bare(Needs.READER));
    CALLS.put("GET /api/plans/{id}/thousand/year", bare(Needs.READER));
    CALLS.put("GET /api/plans/{id}/thousand/gauge", bare(Needs.READER));
    CALLS.put("GET /calendar/{secret}.ics", bare(Needs.NOBODY));
    CALLS.put(
        "POST /instruments/{secret}",
        new Call(Needs.NOBODY, "text/csv", "field,time,clicks\nSaddle,2027-12-01,14\n"));
    CALLS.put("GET /api/plans/{id}/jobs", bare(Needs.READER));
    CALLS.put("GET /api/plans/{id}/jobs/waiting", bare(Needs.READER));
    CALLS.put("GET /api/plans/{id}/jobs/moved", bare(Needs.READER));
    CALLS.put("GET /api/plans/{id}/jobs/file", bare(Needs.READER));
    CALLS.put(
        "POST /api/plans/{id}/jobs/file/preview",
        new Call(Needs.READER, "text/calendar", CALENDAR));
    CALLS.put("GET /api/plans/{id}/jobs/feed", bare(Needs.READER));
    CALLS.put("POST /api/plans/{id}/jobs/feed", bare(Needs.READER));
    CALLS.put("DELETE /api/plans/{id}/jobs/feed", bare(Needs.READER));
    CALLS.put("GET /api/plans/{id}/jobs/letters", bare(Needs.READER));
    CALLS.put("PUT /api/plans/{id}/jobs/letters", json(Needs.READER, "{\"daysAhead\": 7}"));
    CALLS.put(
        "POST /api/plans/{id}/ways",
        json(Needs.READER, "{\"gap\": 0, \"ways\": [[%s]]}".formatted(EDIT)));
    CALLS.put(
        "POST /api/plans/{id}/mix",
        json(
            Needs.READER,
            "{\"gap\": 0, \"ways\": [[%s]], \"must\": [], \"never\": [], \"buyHay\": true}"
                .formatted(EDIT)));
    CALLS.put(
        "POST /api/plans/{id}/sureness",
        json(Needs.READER, "{\"gap\": 0, \"edits\": [%s]}".formatted(EDIT)));
    CALLS.put("GET /api/plans/{id}/policies", bare(Needs.READER));
    CALLS.put("GET /api/plans/{id}/advice", bare(Needs.READER));
    CALLS.put(
        "POST /api/plans/{id}/waiting",
        json(Needs.READER, "{\"gap\": 0, \"edits\": [%s], \"days\": [7]}".formatted(EDIT)));
    CALLS.put("GET /api/plans/{id}/market", bare(Needs.READER));
    CALLS.put("GET /api/plans/{id}/crops", bare(Needs.READER));
    CALLS.put("GET /api/plans/{id}/crops/dates", bare(Needs.READER));
    CALLS.put("GET /api/plans/{id}/prices", bare(Needs.READER));
    CALLS.put("POST /api/plans/{id}/file/preview", json(Needs.READER, FILE));
    CALLS.put("POST /api/plans/{id}/file", json(Needs.PLANNER, FILE));
    CALLS.put("GET /api/plans/{id}/lists/{kind}", bare(Needs.READER));
    CALLS.put(
        "POST /api/plans/{id}/lists/{kind}/preview", new Call(Needs.READER, "text/csv", ROWS));
    CALLS.put("POST /api/plans/{id}/lists/{kind}", new Call(Needs.PLANNER, "text/csv", ROWS));
    CALLS.put("GET /api/plans/{id}/ledger", bare(Needs.READER));
    CALLS.put("POST /api/plans/{id}/measure", json(Needs.READER, OUTLINE));
    CALLS.put("GET /api/plans/{id}/let-grow", bare(Needs.READER));
    CALLS.put("GET /api/plans/{id}/fitting", bare(Needs.READER));
    CALLS.put(
        "POST /api/plans/{id}/cover",
        json(
            Needs.READER,
            """
            {"forageId": "tall_fescue_novel", "season": "SPRING", "density": "ORDINARY", "heightsCm": [12, 15], "plate": [], "perUnitKg": 0,
             "baseKg": 0, "clips": []}"""));
    CALLS.put(
        "POST /api/plans/{id}/compare",
        json(
            Needs.READER,
            """
            {"stands": [{"forageId": "fescue_white_clover", "nitrogenKgPerHa": 0, "costPerHa": 20}],
             "terms": {"weightKg": 300, "nitrogenPricePerKg": 1, "valuePerKgGain": 3,
              "costShare": 0}}"""));
    CALLS.put("GET /api/plans/{id}/hay-sum", bare(Needs.READER));
    CALLS.put("GET /api/plans/{id}/marks", bare(Needs.READER));
    CALLS.put("GET /api/plans/{id}/outlook", bare(Needs.READER));
    CALLS.put("GET /api/plans/{id}/shelves", bare(Needs.READER));
    CALLS.put("GET /api/plans/{id}/supplement", bare(Needs.READER));
    CALLS.put("GET /api/plans/{id}/selling", bare(Needs.READER));
    CALLS.put("GET /api/plans/{id}/weaning", bare(Needs.READER));
    CALLS.put("GET /api/plans/{id}/samples", bare(Needs.READER));
    CALLS.put(
        "POST /api/plans/{id}/samples",
        json(
            Needs.HELPER,
            """
            {"commandId": "sample-1", "device": "", "lotId": "fescue-rounds",
             "sampledOn": "2027-09-10"}"""));
    CALLS.put(
        "POST /api/plans/{id}/samples/{sample}/take", json(Needs.HELPER, "{\"device\": \"\"}"));
    CALLS.put("GET /api/plans/{id}/instruments", bare(Needs.READER));
    CALLS.put(
        "POST /api/plans/{id}/instruments",
        json(Needs.PLANNER, "{\"kind\": \"PLATE\", \"name\": \"Plate\", \"simulated\": true}"));
    CALLS.put("DELETE /api/plans/{id}/instruments/{instrument}", bare(Needs.PLANNER));
    CALLS.put(
        "POST /api/plans/{id}/instruments/{instrument}/file",
        new Call(Needs.HELPER, "text/csv", "field,time,clicks\nSaddle,2027-12-01,14\n"));
    CALLS.put("GET /api/plans/{id}/photos/{photo}", bare(Needs.READER));
    CALLS.put(
        "PUT /api/plans/{id}/photos/{photo}",
        new Call(Needs.HELPER, "image/jpeg", "no picture at all"));
    CALLS.put("GET /api/plans/{id}/walk", bare(Needs.READER));
    CALLS.put("GET /api/plans/{id}/walk/pack", bare(Needs.READER));
    CALLS.put("GET /api/plans/{id}/walk/readings", bare(Needs.READER));
    CALLS.put("GET /api/plans/{id}/walk/readings/file", bare(Needs.READER));
    CALLS.put("GET /api/plans/{id}/walk/seen/file", bare(Needs.READER));
    CALLS.put(
        "POST /api/plans/{id}/walk/answer",
        json(
            Needs.READER,
            """
            {"on": "2027-12-01", "reading": {"kind": "COVER_SEEN", "fieldId": "home-bottom",
             "forageId": "tall_fescue_novel", "way": "EYE", "coverKgPerHa": 1500}}"""));
    CALLS.put(
        "POST /api/plans/{id}/walk/stems",
        json(
            Needs.READER,
            """
            {"on": "2027-12-01", "stems": {"kind": "STEMS_SEEN", "fieldId": "home-bottom",
             "forageId": "cereal_rye", "stems": [{"stageId": "leafy"}]}}"""));
    CALLS.put(
        "POST /api/plans/{id}/records/queued",
        json(
            Needs.HELPER,
            """
            [{"commandId": "q1", "device": "", "records": [{"on": "2027-12-01", "fact":
              {"kind": "LOT_COUNTED", "lotId": "fescue-rounds", "units": 40, "note": ""}}]}]"""));
    CALLS.put("GET /api/plans/{id}/records", bare(Needs.READER));
    CALLS.put(
        "POST /api/plans/{id}/records",
        json(
            Needs.HELPER,
            """
            {"commandId": "fed-1", "device": "yard phone", "records": [{"on": "2027-12-01",
             "fact": {"kind": "LOT_FED", "lotId": "fescue-rounds", "units": 5, "groupId": "cows",
              "note": ""}}]}"""));
    CALLS.put("POST /api/hay-sum", json(Needs.NOBODY, QUICK));
    CALLS.put("POST /api/farms/quick", json(Needs.SIGN_IN, QUICK));
    CALLS.put("GET /api/plans/{id}/map", bare(Needs.READER));
    CALLS.put("POST /api/plans/{id}/map/preview", json(Needs.READER, MAP));
    CALLS.put("POST /api/plans/{id}/map", json(Needs.PLANNER, MAP));
    CALLS.put("GET /api/plans/{id}/weather", bare(Needs.READER));
    CALLS.put("POST /api/plans/{id}/weather/preview", new Call(Needs.READER, "text/csv", WEATHER));
    CALLS.put("POST /api/plans/{id}/weather", new Call(Needs.PLANNER, "text/csv", WEATHER));
    CALLS.put("DELETE /api/plans/{id}/weather/{record}", bare(Needs.PLANNER));
  }
}
