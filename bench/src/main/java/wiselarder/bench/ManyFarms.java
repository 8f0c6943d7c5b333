package wiselarder.bench;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;
import wiselarder.core.engine.Engine;
import wiselarder.core.plan.FarmPlan;
import wiselarder.server.farm.DemoFarms;
import wiselarder.server.json.Lift;
import wiselarder.server.json.PlanDocument;

/**
 * Puts thousands of invented farms into a database of the product: each one of the demo farms with
 * so many fields and with land, herd and store of other sizes, a plan that runs today and others
 * before and after it, and one member of them all. The same numbers make the same farms.
 */
public final class ManyFarms {
  private static final List<String> DEMOS = DemoFarms.NAMES;
  private static final int BATCH = 100;
  private static final JsonMapper MAPPER = new JsonMapper();

  private static final List<String> FIRST =
      List.of(
          "Amber", "Ashen", "Bracken", "Bramble", "Cinder", "Clover", "Cobble", "Copper", "Dapple",
          "Dunnock", "Ember", "Fallow", "Fennel", "Flint", "Gorse", "Harrow", "Hazel", "Heather",
          "Juniper", "Kestrel", "Larch", "Linnet", "Marlow", "Mossy", "Nettle", "Osier", "Pebble",
          "Pippin", "Quarry", "Rowan", "Rushy", "Saffron", "Sedge", "Sorrel", "Tawny", "Thistle",
          "Umber", "Vetch", "Willow", "Yarrow");

  private static final List<String> SECOND =
      List.of(
          "Acre", "Bank", "Barrow", "Beck", "Bottom", "Bridge", "Brow", "Common", "Corner", "Croft",
          "Dale", "Down", "Edge", "End", "Fold", "Ford", "Garth", "Gate", "Grange", "Green",
          "Hatch", "Heath", "Hill", "Holm", "Holt", "Lea", "Marsh", "Mead", "Mill", "Moor", "Nook",
          "Orchard", "Park", "Ridge", "Rise", "Side", "Slade", "Stead", "Tops", "Vale");

  private final Engine engine = Engine.load();
  private final int fields;
  private final int plans;
  private final LocalDate today = LocalDate.now(ZoneId.systemDefault());

  private ManyFarms(int fields, int plans) {
    this.fields = fields;
    this.plans = plans;
  }

  /** Arguments: JDBC address, user, password, e-mail of the member, farms, fields, plans. */
  public static void main(String[] args) throws SQLException {
    ManyFarms many = new ManyFarms(Integer.parseInt(args[5]), Integer.parseInt(args[6]));
    try (Connection db = DriverManager.getConnection(args[0], args[1], args[2])) {
      db.setAutoCommit(false);
      many.fill(db, person(db, args[3]), Integer.parseInt(args[4]));
    }
  }

  private static long person(Connection db, String email) throws SQLException {
    try (PreparedStatement s = db.prepareStatement("select id from person where email = ?")) {
      s.setString(1, email);
      ResultSet found = s.executeQuery();
      if (!found.next()) {
        throw new IllegalArgumentException("nobody has the e-mail " + email);
      }
      return found.getLong(1);
    }
  }

  private void fill(Connection db, long person, int farms) throws SQLException {
    List<Made> made = List.of();
    long before = one(db, "select coalesce(max(id), 0) from farm");
    try (PreparedStatement farm =
            db.prepareStatement(
                "insert into farm (id, slug, name) overriding system value values (?, ?, ?)");
        PreparedStatement member =
            db.prepareStatement(
                "insert into farm_member (farm_id, person_id, role) values (?, ?, 'PLANNER')");
        PreparedStatement plan =
            db.prepareStatement(
                "insert into plan (slug, farm_id, revision, content, content_version)"
                    + " values (?, ?, 1, ?::jsonb, "
                    + Lift.PRESENT
                    + ")");
        PreparedStatement record =
            db.prepareStatement(
                "insert into farm_record"
                    + " (farm_id, id, command, happened_on, fact, who, device, written_at)"
                    + " values (?, 'count', 'count', ?, ?::jsonb, '', '', now())")) {
      for (int n = 1; n <= farms; n++) {
        if (n % BATCH == 1) {
          made = next(n, Math.min(farms, n + BATCH - 1));
        }
        long id = before + n;
        Made one = made.get((n - 1) % BATCH);
        String name = name(n);
        farm.setLong(1, id);
        farm.setString(2, "many-" + id);
        farm.setString(3, name);
        farm.addBatch();
        member.setLong(1, id);
        member.setLong(2, person);
        member.addBatch();
        for (int p = 0; p < plans; p++) {
          plan.setString(1, "many-" + id + "-" + p);
          plan.setLong(2, id);
          plan.setString(3, one.documents.get(p));
          plan.addBatch();
        }
        if (one.seen != null) {
          record.setLong(1, id);
          record.setObject(2, one.seen);
          record.setString(
              3,
              "{\"kind\": \"CONDITION_SEEN\", \"groupId\": \"%s\", \"score\": 3.0}"
                  .formatted(one.group));
          record.addBatch();
        }
        if (n % BATCH == 0 || n == farms) {
          for (PreparedStatement s : List.of(farm, member, plan, record)) {
            s.executeBatch();
          }
          db.commit();
        }
      }
      db.createStatement()
          .execute(
              """
              insert into plan_revision (plan_id, number, kind, told, edits, content, content_version)
              select id, 1, 'BEGAN', '{"how": "BEGAN_FROM_FILE", "number": null, "changes": []}', '[]',
                content, content_version
              from plan p
              where not exists (select 1 from plan_revision r where r.plan_id = p.id)
              """);
      db.createStatement()
          .execute(
              "select setval(pg_get_serial_sequence('farm', 'id'), (select max(id) from farm))");
      db.commit();
      db.setAutoCommit(true);
      db.createStatement().execute("analyze");
    }
  }

  /**
   * A farm.
   *
   * @param documents of the plan that runs, then of the one before it, then of the next ones
   * @param seen when a group was last scored, null where it never was
   */
  private record Made(List<String> documents, String group, LocalDate seen) {}

  private List<Made> next(int from, int to) {
    return IntStream.rangeClosed(from, to).parallel().mapToObj(this::made).toList();
  }

  private Made made(int n) {
    Random chance = new Random(n);
    FarmPlan now = farm(n, name(n), chance);
    List<String> documents = new ArrayList<>();
    for (int p = 0; p < plans; p++) {
      int years = p == 0 ? 0 : p == 1 ? -1 : p - 1;
      documents.add(PlanDocument.write(years == 0 ? now : engine.yearsOn(now, years)));
    }
    LocalDate seen = chance.nextInt(10) < 6 ? today.minusDays(chance.nextInt(120)) : null;
    return new Made(documents, now.farm().groups().get(0).id(), seen);
  }

  private static long one(Connection db, String sql) throws SQLException {
    ResultSet found = db.createStatement().executeQuery(sql);
    found.next();
    return found.getLong(1);
  }

  private static String name(int n) {
    int at = n - 1;
    int both = FIRST.size() * SECOND.size();
    String name =
        FIRST.get(at * 7 % FIRST.size()) + " " + SECOND.get(at / FIRST.size() % SECOND.size());
    return at < both ? name : name + " " + (at / both + 1);
  }

  /** A demo farm of other sizes, its plan moved to where it runs today. */
  private FarmPlan farm(int n, String name, Random chance) {
    FarmPlan demo = DemoFarms.read(DEMOS.get(n % DEMOS.size())).plans().get(0);
    ObjectNode tree = (ObjectNode) MAPPER.readTree(PlanDocument.write(demo));
    ObjectNode farm = (ObjectNode) tree.get("farm");
    farm.put("name", name);
    ArrayNode land = (ArrayNode) farm.get("fields");
    grow(land, chance);
    double herd = 0.55 + 0.75 * chance.nextDouble();
    for (JsonNode g : farm.get("groups")) {
      ObjectNode group = (ObjectNode) g;
      group.put("head", Math.max(1, Math.round(group.get("head").asDouble() * herd)));
      group.set("changes", MAPPER.createArrayNode());
    }
    double store = 0.5 + chance.nextDouble();
    for (JsonNode l : farm.get("lots")) {
      ObjectNode lot = (ObjectNode) l;
      lot.put("units", Math.max(1, Math.round(lot.get("units").asDouble() * store)));
    }
    FarmPlan made = PlanDocument.read(MAPPER.writeValueAsString(tree), Lift.PRESENT);
    int years = 0;
    while (made.plan().year().start().plusYears(years).isAfter(today)) {
      years--;
    }
    return years == 0 ? made : engine.yearsOn(made, years);
  }

  /** So many fields: those that are there with a part of their land, and others like them. */
  private void grow(ArrayNode land, Random chance) {
    List<ObjectNode> there = new ArrayList<>();
    land.forEach(f -> there.add((ObjectNode) f));
    double share = Math.min(1, there.size() / (double) fields);
    for (int f = 0; f < Math.max(fields, there.size()); f++) {
      ObjectNode like = there.get(f % there.size());
      ObjectNode field = f < there.size() ? like : like.deepCopy();
      double ha = like.get("areaHa").asDouble();
      if (f >= there.size()) {
        field.put("id", like.get("id").asString() + "-" + f / there.size());
        field.put("name", like.get("name").asString() + " " + (f / there.size() + 1));
        land.add(field);
      } else {
        ha = ha * share * (0.8 + 0.4 * chance.nextDouble());
      }
      field.put("areaHa", Math.max(0.2, Math.round(ha * 100) / 100.0));
      field.putNull("deductedHa");
      field.putNull("outline");
    }
  }
}
