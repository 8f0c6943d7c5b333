package wiselarder.core.caution;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.plan.Catalogue;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.FeedStep;
import wiselarder.core.plan.Purchase;
import wiselarder.core.records.FarmRecords;
import wiselarder.core.store.FeedTest;
import wiselarder.core.store.KnownLot;
import wiselarder.core.store.Lot;
import wiselarder.core.store.Origin;
import wiselarder.core.store.StoredFeed;

/**
 * Cautions on what is put by: feeds that some animals must never have are shut to them; nitrate,
 * poorly kept wrapped feed, urea and copper are told of, and shut where the plan itself meets the
 * trigger.
 */
final class StoreCautions {
  /** Feed in wrap left on, and where it may hurt. */
  private static final Set<Origin.Wrap> WRAPS =
      Set.of(Origin.Wrap.TWINE, Origin.Wrap.NET, Origin.Wrap.FILM);

  private final Map<String, Hazard> hazards;
  private final Map<String, StoredFeed> feeds;

  StoreCautions(Map<String, Hazard> hazards, Catalogue catalogue) {
    this.hazards = hazards;
    this.feeds =
        catalogue.storedFeeds().stream()
            .collect(Collectors.toMap(StoredFeed::id, Function.identity()));
  }

  void add(FarmPlan stated, FarmRecords records, List<Caution> found) {
    int days = stated.plan().year().days();
    for (AnimalGroup group : stated.farm().groups()) {
      if (group.keeping().snowAsWater()) {
        Hazard snow = hazards.get("hz_snow_water");
        found.add(new Caution(snow, null, group.id(), null, 0, days, false));
      }
    }
    for (Lot lot : stated.allLots()) {
      List<AnimalGroup> eaters =
          stated.farm().groups().stream().filter(g -> mayEat(stated, g, lot)).toList();
      boolean bought = stated.plan().purchases().stream().anyMatch(p -> p.lot().equals(lot));
      LotReader reader = new LotReader(records.lot(lot), eaters, days, found);
      reader.nitrate(bought);
      reader.feed();
      reader.wrapped();
    }
  }

  private static boolean mayEat(FarmPlan stated, AnimalGroup group, Lot lot) {
    for (FeedStep s : stated.plan().steps()) {
      boolean store = s.kind() == FeedStep.Kind.STORE && s.groupId().equals(group.id());
      if (store && (s.sourceIds().isEmpty() || s.sourceIds().contains(lot.id()))) {
        return true;
      }
    }
    for (Purchase p : stated.plan().purchases()) {
      if (p.lot().id().equals(lot.id()) && p.forGroups().contains(group.id())) {
        return true;
      }
    }
    return false;
  }

  /** One lot and who may eat it. */
  private final class LotReader {
    private final Lot lot;
    private final KnownLot known;
    private final List<AnimalGroup> eaters;
    private final int days;
    private final List<Caution> found;
    private final String feedId;
    private final String kind;

    LotReader(KnownLot known, List<AnimalGroup> eaters, int days, List<Caution> found) {
      this.known = known;
      this.lot = known.lot();
      this.eaters = eaters;
      this.days = days;
      this.found = found;
      StoredFeed feed = lot.origin().feedId() == null ? null : feeds.get(lot.origin().feedId());
      this.feedId = feed == null ? "" : feed.id();
      this.kind = feed == null ? "" : feed.kind();
    }

    private void note(String hazardId, AnimalGroup group, boolean blocks) {
      String groupId = group == null ? null : group.id();
      found.add(new Caution(hazards.get(hazardId), null, groupId, lot.id(), 0, days, blocks));
    }

    /** By the test; without one a feed that is prone to it is held when it was bought unseen. */
    void nitrate(boolean bought) {
      double reported = known.nitratePct().orElse(-1.0);
      boolean prone = hazards.get("hz_nitrate_stored").appliesTo().contains(feedId);
      if (reported > FeedTest.NITRATE_MIX_PCT || (reported < 0 && prone)) {
        boolean held = reported > FeedTest.NITRATE_HOLD_PCT || (reported < 0 && bought);
        note("hz_nitrate_stored", null, held);
      }
    }

    /** What the feed itself is to some animals. */
    void feed() {
      for (AnimalGroup g : eaters) {
        boolean horse = g.kind().startsWith("horse/");
        closed("hz_not_for_horses", g, horse);
        closed("hz_endophyte_mares", g, g.kind().equals("horse/mare"));
        closed("hz_copper_sheep", g, g.kind().startsWith("sheep/"));
        closed("hz_urea_hungry", g, horse);
      }
      if (!eaters.isEmpty()) {
        told("hz_urea_hungry");
        told("hz_grain_overload");
        told("hz_sweetclover_mould");
      }
    }

    private void closed(String hazardId, AnimalGroup group, boolean to) {
      if (to && hazards.get(hazardId).appliesTo().contains(feedId)) {
        note(hazardId, group, true);
      }
    }

    private void told(String hazardId) {
      Set<String> to = hazards.get(hazardId).appliesTo();
      if (to.contains(feedId) || to.contains(kind)) {
        note(hazardId, null, false);
      }
    }

    /** Haylage and silage are shut to horses; torn film to all but cattle, who are told. */
    void wrapped() {
      boolean ensiled =
          kind.equals("haylage")
              || kind.equals("silage")
              || lot.origin().wrap() == Origin.Wrap.FILM
              || lot.storageMethodId().startsWith("s_wrapped")
              || lot.storageMethodId().startsWith("s_clamp");
      boolean torn = lot.storageMethodId().equals("s_wrapped_torn");
      for (AnimalGroup g : eaters) {
        boolean small = g.kind().startsWith("sheep/") || g.kind().startsWith("goat/");
        if (ensiled && g.kind().startsWith("horse/")) {
          note("hz_botulism_wrapped", g, true);
        } else if (torn) {
          note("hz_botulism_wrapped", g, small);
        }
        if (ensiled && small) {
          note("hz_silage_listeria", g, false);
        }
      }
      if (!eaters.isEmpty() && WRAPS.contains(lot.origin().wrap())) {
        note("hz_wrap_ingestion", null, false);
      }
    }
  }
}
