package wiselarder.server.file;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.function.UnaryOperator;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.land.Field;
import wiselarder.core.land.Grid;
import wiselarder.core.land.Outline;
import wiselarder.core.land.Stand;
import wiselarder.core.land.Survey;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.Items;
import wiselarder.core.quantity.Refused;
import wiselarder.server.problem.RowProblem;
import wiselarder.server.problem.ServerReason;

/**
 * Fields as GeoJSON (RFC 7946, longitude and latitude in WGS 84), out and in. Polygons are fields,
 * or what lies in one where {@code kind} says so; lines are waterways. docs/formats.md tells more.
 */
public final class GeoJson {
  private static final JsonMapper MAPPER = new JsonMapper();
  private static final Set<String> NAMES = Set.of("name", "label", "title", "paddock");

  /** What a map in a file would change. */
  public record Read(
      Grid grid, List<Shape> shapes, List<PlanEdit> edits, List<RowProblem> problems) {}

  /** One field of the file, measured. */
  public record Shape(String name, boolean known, double areaHa, double netHa, int off) {}

  private GeoJson() {}

  /** The map of a farm; a farm drawn by hand lies around longitude and latitude zero. */
  public static String write(FarmPlan plan) {
    Grid grid = plan.farm().grid() == null ? new Grid(0, 0) : plan.farm().grid();
    ObjectNode root = MAPPER.createObjectNode();
    root.put("type", "FeatureCollection");
    ArrayNode features = root.putArray("features");
    for (Field f : plan.farm().fields()) {
      if (f.outline() == null) {
        continue;
      }
      Survey.Measured m = Survey.measure(f.outline());
      ObjectNode field = feature(features, grid, f.outline().edge(), false);
      field.put("kind", "field");
      field.put("id", f.id());
      field.put("name", f.name());
      field.put("stand", f.stand().forageId());
      field.put("area_ha", Math.round(m.areaHa() * 1000) / 1000.0);
      field.put("net_area_ha", Math.round(m.netHa() * 1000) / 1000.0);
      for (Outline.Off off : f.outline().off()) {
        ObjectNode node = feature(features, grid, off.points(), off.kind().line());
        node.put("kind", off.kind().name().toLowerCase(Locale.ROOT));
        node.put("name", off.name());
        node.put("field", f.name());
        node.put("buffer_m", off.bufferM());
      }
    }
    return root.toPrettyString();
  }

  private static ObjectNode feature(
      ArrayNode features, Grid grid, List<Outline.Point> points, boolean line) {
    ObjectNode feature = features.addObject();
    feature.put("type", "Feature");
    ObjectNode properties = feature.putObject("properties");
    ObjectNode geometry = feature.putObject("geometry");
    geometry.put("type", line ? "LineString" : "Polygon");
    ArrayNode all = geometry.putArray("coordinates");
    ArrayNode ring = line ? all : all.addArray();
    points.forEach(p -> position(ring, grid, p));
    if (!line) {
      position(ring, grid, points.get(0));
    }
    return properties;
  }

  private static void position(ArrayNode ring, Grid grid, Outline.Point p) {
    ring.addArray()
        .add(Math.round(grid.longitudeOf(p) * 1e7) / 1e7)
        .add(Math.round(grid.latitudeOf(p) * 1e7) / 1e7);
  }

  /**
   * Reads a map. Fields are known by id or name; new ones get {@code forageId}. What lies in fields
   * goes to each field it touches.
   *
   * @param freshId makes an id that nothing has from a name
   * @throws Refused where the file is no GeoJSON
   */
  public static Read read(
      String json, FarmPlan plan, String forageId, UnaryOperator<String> freshId) {
    try {
      return new Reading(plan, forageId, freshId).read(MAPPER.readTree(json));
    } catch (JacksonException e) {
      throw new Refused(ServerReason.NOT_JSON, "file", 0, 0);
    }
  }

  /** One file being read. */
  private static final class Reading {
    private static final int MOST_FEATURES = 500;

    private final FarmPlan plan;
    private final String forageId;
    private final UnaryOperator<String> freshId;
    private final List<RowProblem> problems = new ArrayList<>();
    private final List<Named> fields = new ArrayList<>();
    private final List<Inside> off = new ArrayList<>();
    private Grid grid;

    private record Named(String id, String name, List<Outline.Point> edge) {}

    /** What lies in a field; in any that it touches where no field is named. */
    private record Inside(String field, Outline.Off off) {}

    Reading(FarmPlan plan, String forageId, UnaryOperator<String> freshId) {
      this.plan = plan;
      this.freshId = freshId;
      this.forageId = forageId;
      this.grid = plan.farm().grid();
    }

    Read read(JsonNode root) {
      JsonNode features = root.path("features");
      if (!root.path("type").asString("").equals("FeatureCollection") || !features.isArray()) {
        throw new Refused(ServerReason.NOT_GEOJSON, "type");
      }
      if (features.size() > MOST_FEATURES) {
        throw new Refused(ServerReason.TOO_MANY_FEATURES, "features", MOST_FEATURES);
      }
      for (int i = 0; i < features.size(); i++) {
        try {
          feature(i + 1, features.get(i));
        } catch (Refused r) {
          problems.add(RowProblem.of(i + 1, r));
        }
      }
      return done();
    }

    private void feature(int number, JsonNode feature) {
      JsonNode geometry = feature.path("geometry");
      JsonNode properties = feature.path("properties");
      String kind = properties.path("kind").asString("").toUpperCase(Locale.ROOT);
      double bufferM = properties.path("buffer_m").asDouble(0);
      JsonNode at = geometry.path("coordinates");
      switch (geometry.path("type").asString("")) {
        case "LineString" ->
            inside(
                properties,
                Outline.Kind.WATERWAY,
                nameOf(properties, ""),
                points(at, false),
                properties.has("buffer_m") ? bufferM : FLAT_BUFFER_M);
        case "Polygon" -> polygon(number, properties, kind, bufferM, at);
        case "MultiPolygon" -> {
          if (at.size() != 1) {
            throw new Refused(
                ServerReason.IN_PIECES,
                "geometry",
                nameOf(properties, "feature " + number),
                at.size());
          }
          polygon(number, properties, kind, bufferM, at.get(0));
        }
        default -> throw new Refused(ServerReason.NO_SHAPE, "geometry");
      }
    }

    private void polygon(
        int number, JsonNode properties, String kind, double bufferM, JsonNode rings) {
      if (rings.isEmpty()) {
        throw new Refused(ServerReason.NO_CORNERS, "geometry");
      }
      String name = nameOf(properties, "Field " + number);
      boolean inField =
          !kind.isEmpty()
              && java.util.Arrays.stream(Outline.Kind.values())
                  .anyMatch(k -> k.name().equals(kind));
      if (inField) {
        inside(properties, Outline.Kind.valueOf(kind), name, points(rings.get(0), true), bufferM);
        return;
      }
      fields.add(new Named(properties.path("id").asString(""), name, points(rings.get(0), true)));
      for (int hole = 1; hole < rings.size(); hole++) {
        List<Outline.Point> edge = points(rings.get(hole), true);
        off.add(new Inside(name, new Outline.Off(Outline.Kind.HOLLOW, "Hole", edge, 0)));
      }
    }

    private void inside(
        JsonNode properties,
        Outline.Kind kind,
        String name,
        List<Outline.Point> points,
        double bufferM) {
      off.add(
          new Inside(
              properties.path("field").asString(""), new Outline.Off(kind, name, points, bufferM)));
    }

    private static String nameOf(JsonNode properties, String otherwise) {
      for (var member : properties.properties()) {
        if (NAMES.contains(member.getKey().toLowerCase(Locale.ROOT))
            && !member.getValue().asString("").isBlank()) {
          return member.getValue().asString("").strip();
        }
      }
      return otherwise;
    }

    private List<Outline.Point> points(JsonNode positions, boolean ring) {
      List<Outline.Point> points = new ArrayList<>();
      for (JsonNode p : positions) {
        double longitude = p.path(0).asDouble(Double.NaN);
        double latitude = p.path(1).asDouble(Double.NaN);
        if (!(Math.abs(longitude) <= 180 && Math.abs(latitude) <= 80)) {
          throw new Refused(ServerReason.NO_PLACE, "coordinates", p.toString());
        }
        grid = grid == null ? fresh(rounded(longitude), rounded(latitude)) : grid;
        Outline.Point point = grid.at(longitude, latitude);
        if (points.isEmpty() || !points.get(points.size() - 1).equals(point)) {
          points.add(point);
        }
      }
      if (ring && points.size() > 1 && points.get(0).equals(points.get(points.size() - 1))) {
        points.remove(points.size() - 1);
      }
      return points;
    }

    /** A grid that begins at a place, or so that the place lies east of what is drawn already. */
    private Grid fresh(double longitude, double latitude) {
      double east = Double.NEGATIVE_INFINITY;
      for (Field f : plan.farm().fields()) {
        if (f.outline() != null) {
          for (Outline.Point p : f.outline().edge()) {
            east = Math.max(east, p.eastM());
          }
        }
      }
      Grid here = new Grid(longitude, latitude);
      return Double.isInfinite(east)
          ? here
          : new Grid(here.longitudeOf(new Outline.Point(-east - BESIDE_M, 0)), latitude);
    }

    private static final double BESIDE_M = 400;

    private static double rounded(double degrees) {
      return Math.round(degrees * 1000) / 1000.0;
    }

    private Read done() {
      List<Shape> shapes = new ArrayList<>();
      List<PlanEdit> edits = new ArrayList<>();
      for (Named named : fields) {
        try {
          Outline bare = new Outline(named.edge, List.of());
          Field known = known(named);
          boolean drawn = known != null && known.outline() != null;
          Outline outline =
              new Outline(
                  named.edge, within(named.name, bare), drawn ? known.outline().pads() : List.of());
          Survey.Measured m = Survey.measure(outline);
          Field field =
              known != null
                  ? known.shaped(known.id(), known.name(), outline)
                  : fresh(named).shaped(idOf(named), named.name, outline);
          edits.add(new PlanEdit.Put<>(Items.FIELDS, field));
          shapes.add(
              new Shape(field.name(), known != null, m.areaHa(), m.netHa(), outline.off().size()));
        } catch (Refused r) {
          problems.add(RowProblem.of(0, r.at(named.name)));
        }
      }
      if (fields.isEmpty() && problems.isEmpty()) {
        throw new Refused(ServerReason.NO_FIELD_IN_FILE, "features");
      }
      return new Read(grid, shapes, edits, problems);
    }

    private List<Outline.Off> within(String name, Outline field) {
      double wholeHa = Survey.measure(field).netHa();
      return off.stream()
          .filter(i -> i.field.isEmpty() || i.field.equalsIgnoreCase(name))
          .map(Inside::off)
          .filter(
              o -> Survey.measure(new Outline(field.edge(), List.of(o))).netHa() < wholeHa - 1e-6)
          .toList();
    }

    private Field known(Named named) {
      return plan.farm().fields().stream()
          .filter(f -> f.id().equals(named.id) || f.name().equalsIgnoreCase(named.name))
          .findFirst()
          .orElse(null);
    }

    private String idOf(Named named) {
      return freshId.apply(named.name.substring(0, Math.min(MOST_OF_NAME, named.name.length())));
    }

    /** A field's id holds its name and a tail. */
    private static final int MOST_OF_NAME = 28;

    private Field fresh(Named named) {
      return new Field(
          idOf(named),
          named.name,
          1,
          new Stand(forageId, null, null, null, 0.1, null, null),
          Field.Grazing.ROTATIONAL,
          null,
          null,
          null,
          false,
          "",
          null);
    }
  }

  /** A strip along water where the file gives none: that of flat ground. */
  private static final double FLAT_BUFFER_M = 10;
}
