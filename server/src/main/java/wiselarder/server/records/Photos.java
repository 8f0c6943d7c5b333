package wiselarder.server.records;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.Iterator;
import java.util.NoSuchElementException;
import java.util.Set;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.metadata.IIOMetadataNode;
import javax.imageio.stream.ImageInputStream;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import org.w3c.dom.Node;
import org.w3c.dom.NodeList;
import wiselarder.core.quantity.Refused;
import wiselarder.server.people.NotAllowed;
import wiselarder.server.people.Person;
import wiselarder.server.people.Role;
import wiselarder.server.plan.Plans;
import wiselarder.server.plan.StoredPlan;
import wiselarder.server.problem.ServerReason;

/**
 * Pictures beside the records: small JPEGs without anything but the picture. They come before the
 * record that names them, and go when the last one is struck out.
 */
@Component
public class Photos {
  /** As the interface makes them they take a third of it. */
  public static final int MOST_KILOBYTES = 400;

  static final int MOST_PIXELS = 1600;
  static final int MOST_OF_FARM = 1000;

  /**
   * Segments of a JPEG that are the picture itself; others hold what the camera knows of place and
   * owner.
   */
  private static final Set<String> OF_THE_PICTURE =
      Set.of("dqt", "dht", "sof", "sos", "dri", "app0JFIF", "app14Adobe");

  private final PhotoRepository repository;
  private final Plans plans;

  Photos(PhotoRepository repository, Plans plans) {
    this.repository = repository;
    this.plans = plans;
  }

  /**
   * Keeps a picture of the farm of a plan; the same again changes nothing.
   *
   * @param id SHA-256 of its bytes
   * @throws Refused when it is no small JPEG, holds more than a picture, or the farm has too many
   */
  @Transactional
  public void put(String planSlug, Person person, String id, byte[] jpeg) {
    StoredPlan plan = plans.get(planSlug, person);
    NotAllowed.unless(plan.role(), Role.HELPER);
    if (repository.has(plan.farmId(), id)) {
      return;
    }
    if (jpeg.length > MOST_KILOBYTES * 1000) {
      throw new Refused(ServerReason.BODY_TOO_LARGE, "photo", MOST_KILOBYTES);
    }
    if (!hash(jpeg).equals(id)) {
      throw new Refused(ServerReason.NOT_A_PHOTO, "photo", MOST_PIXELS);
    }
    check(jpeg);
    if (repository.count(plan.farmId()) >= MOST_OF_FARM) {
      throw new Refused(ServerReason.TOO_MANY_PHOTOS, "photo", MOST_OF_FARM);
    }
    repository.put(plan.farmId(), id, jpeg);
  }

  /** A picture of the farm of a plan. */
  @Transactional(readOnly = true)
  public byte[] get(String planSlug, Person person, String id) {
    return repository
        .find(plans.get(planSlug, person).farmId(), id)
        .orElseThrow(() -> new NoSuchElementException("photo"));
  }

  boolean has(long farmId, String id) {
    return repository.has(farmId, id);
  }

  /** A picture of which a record was struck out; another one may name it still. */
  void struck(long farmId, String id) {
    repository.removeUnlessNamed(farmId, id);
  }

  /** Pictures whose record never came. */
  @Scheduled(fixedDelay = 24, initialDelay = 1, timeUnit = java.util.concurrent.TimeUnit.HOURS)
  @Transactional
  void removeUnnamed() {
    repository.removeUnnamed();
  }

  private static String hash(byte[] bytes) {
    try {
      return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(bytes));
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException(e);
    }
  }

  private static void check(byte[] jpeg) {
    try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(jpeg))) {
      Iterator<ImageReader> readers = ImageIO.getImageReadersByFormatName("jpeg");
      ImageReader reader = readers.next();
      try {
        reader.setInput(in);
        boolean small = reader.getWidth(0) <= MOST_PIXELS && reader.getHeight(0) <= MOST_PIXELS;
        if (!small || !onlyPicture(reader) || reader.read(0) == null) {
          throw new Refused(ServerReason.NOT_A_PHOTO, "photo", MOST_PIXELS);
        }
      } finally {
        reader.dispose();
      }
    } catch (IOException | IllegalArgumentException | IndexOutOfBoundsException e) {
      throw new Refused(ServerReason.NOT_A_PHOTO, "photo", MOST_PIXELS);
    }
  }

  private static boolean onlyPicture(ImageReader reader) throws IOException {
    Node tree = reader.getImageMetadata(0).getAsTree("javax_imageio_jpeg_image_1.0");
    return tree instanceof IIOMetadataNode root && onlyPicture(root.getChildNodes());
  }

  private static boolean onlyPicture(NodeList parts) {
    for (int i = 0; i < parts.getLength(); i++) {
      Node part = parts.item(i);
      boolean holdsParts =
          part.getNodeName().equals("JPEGvariety") || part.getNodeName().equals("markerSequence");
      boolean fine = holdsParts ? onlyPicture(part.getChildNodes()) : known(part.getNodeName());
      if (!fine) {
        return false;
      }
    }
    return true;
  }

  private static boolean known(String part) {
    return OF_THE_PICTURE.contains(part);
  }
}
