package wiselarder.pocket.make;

import java.io.File;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URI;
import java.nio.file.FileSystem;
import java.nio.file.FileSystems;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Map;
import java.util.stream.Stream;
import org.teavm.classlib.ResourceSupplier;
import org.teavm.classlib.ResourceSupplierContext;

/** Has the tables of the core go along, wherever on the class path they are. */
public final class Tables implements ResourceSupplier {
  private static final String FOLDER = "wiselarder/reference/";

  @Override
  public String[] supplyResources(ResourceSupplierContext context) {
    return Arrays.stream(System.getProperty("java.class.path").split(File.pathSeparator))
        .flatMap(Tables::in)
        .filter(name -> name.endsWith(".csv"))
        .sorted()
        .map(name -> FOLDER + name)
        .toArray(String[]::new);
  }

  private static Stream<String> in(String place) {
    try {
      if (!place.endsWith(".jar")) {
        return names(Path.of(place, FOLDER));
      }
      URI jar = URI.create("jar:" + Path.of(place).toUri());
      try (FileSystem files = FileSystems.newFileSystem(jar, Map.of())) {
        return names(files.getPath(FOLDER));
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static Stream<String> names(Path folder) throws IOException {
    if (!Files.isDirectory(folder)) {
      return Stream.empty();
    }
    try (Stream<Path> all = Files.list(folder)) {
      return all.map(f -> f.getFileName().toString()).toList().stream();
    }
  }
}
