package wiselarder.server.walk;

import java.time.Duration;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import wiselarder.server.people.Person;
import wiselarder.server.records.Photos;

/** Pictures that records name. */
@RestController
@RequestMapping("/api/plans/{id}/photos/{photo}")
class PhotoController {
  /** The same address is the same picture for ever; only who asked for it keeps it. */
  private static final CacheControl KEPT =
      CacheControl.maxAge(Duration.ofDays(30)).cachePrivate().immutable();

  private final Photos photos;

  PhotoController(Photos photos) {
    this.photos = photos;
  }

  /** Keeps a picture; its record comes after it. */
  @PutMapping(consumes = MediaType.IMAGE_JPEG_VALUE)
  void put(
      @PathVariable String id,
      @PathVariable String photo,
      @RequestBody byte[] jpeg,
      @AuthenticationPrincipal Person person) {
    photos.put(id, person, photo, jpeg);
  }

  /** A picture. */
  @GetMapping(produces = MediaType.IMAGE_JPEG_VALUE)
  ResponseEntity<byte[]> get(
      @PathVariable String id, @PathVariable String photo, @AuthenticationPrincipal Person person) {
    return ResponseEntity.ok().cacheControl(KEPT).body(photos.get(id, person, photo));
  }
}
