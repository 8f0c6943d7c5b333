package wiselarder.pocket.make;

import java.io.File;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;
import java.util.zip.CRC32;
import javax.tools.JavaCompiler;
import javax.tools.ToolProvider;
import org.teavm.backend.javascript.JSModuleType;
import org.teavm.diagnostics.Problem;
import org.teavm.tooling.ConsoleTeaVMToolLog;
import org.teavm.tooling.TeaVMTargetType;
import org.teavm.tooling.TeaVMTool;
import org.teavm.tooling.TeaVMToolException;
import org.teavm.vm.TeaVMOptimizationLevel;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.records.CoverSeen;
import wiselarder.core.records.FarmRecord;
import wiselarder.core.records.StemsSeen;
import wiselarder.core.walk.Answer;
import wiselarder.core.walk.FieldHistory;
import wiselarder.core.walk.Round;
import wiselarder.core.walk.StemAnswer;

/** Makes the engine for the browser: one file of JavaScript, and one that names it. */
public final class Make {
  private final Path sources;
  private final Path target;
  private final String path = System.getProperty("java.class.path");

  private Make(Path sources, Path target) {
    this.sources = sources;
    this.target = target;
  }

  /**
   * Makes it, where anything that it is made from is newer than what is there.
   *
   * @param args folder of the sources for the browser, and the build's folder
   */
  public static void main(String[] args) throws IOException, TeaVMToolException {
    new Make(Path.of(args[0]), Path.of(args[1])).make();
  }

  private void make() throws IOException, TeaVMToolException {
    Path made = target.resolve("pocket/pocket.js");
    Path named = target.resolve("classes/static/pocket.json");
    if (Files.exists(named) && Files.exists(made) && newest() <= lastModified(made)) {
      return;
    }
    Path generated = target.resolve("browser-sources/wiselarder/pocket");
    Files.createDirectories(generated);
    Files.writeString(
        generated.resolve("Codec.java"),
        CodecMaker.source(
            List.of(FarmPlan.class, FarmRecord.class, CoverSeen.class, StemsSeen.class),
            List.of(Round.class, Answer.class, StemAnswer.class, FieldHistory.ReadingLine.class)));
    Path classes = target.resolve("browser-classes");
    compile(List.of(sources, target.resolve("browser-sources")), classes);
    translate(classes, made);
    publish(made, named);
  }

  /** When the newest of all that it is made from was changed, ms. */
  private long newest() throws IOException {
    long newest = 0;
    List<Path> from = new ArrayList<>(List.of(sources));
    Arrays.stream(path.split(File.pathSeparator)).map(Path::of).forEach(from::add);
    for (Path one : from) {
      if (!Files.exists(one)) {
        continue;
      }
      try (Stream<Path> all = Files.walk(one)) {
        // what it has published itself lies among the classes
        newest =
            Math.max(
                newest,
                all.filter(Files::isRegularFile)
                    .filter(f -> !f.toString().contains("static"))
                    .map(Make::lastModified)
                    .max(Comparator.naturalOrder())
                    .orElse(0L));
      }
    }
    return newest;
  }

  private static long lastModified(Path file) {
    return file.toFile().lastModified();
  }

  private void compile(List<Path> from, Path to) throws IOException {
    Files.createDirectories(to);
    List<String> args = new ArrayList<>(List.of("-nowarn", "-proc:none", "--release", "17"));
    args.addAll(List.of("-encoding", "UTF-8", "-cp", path, "-d", to.toString()));
    for (Path folder : from) {
      try (Stream<Path> all = Files.walk(folder)) {
        all.map(Path::toString).filter(f -> f.endsWith(".java")).forEach(args::add);
      }
    }
    JavaCompiler compiler = ToolProvider.getSystemJavaCompiler();
    if (compiler.run(null, null, null, args.toArray(String[]::new)) != 0) {
      throw new IllegalStateException("the sources for the browser do not compile");
    }
  }

  private void translate(Path classes, Path made) throws TeaVMToolException {
    List<File> all = new ArrayList<>(List.of(classes.toFile()));
    Arrays.stream(path.split(File.pathSeparator)).map(File::new).forEach(all::add);
    TeaVMTool tool = new TeaVMTool();
    tool.setLog(new ConsoleTeaVMToolLog(false));
    tool.setTargetType(TeaVMTargetType.JAVASCRIPT);
    tool.setJsModuleType(JSModuleType.ES2015);
    tool.setMainClass("wiselarder.pocket.Pocket");
    tool.setTargetDirectory(made.getParent().toFile());
    tool.setTargetFileName(made.getFileName().toString());
    tool.setClassPath(all);
    tool.setOptimizationLevel(TeaVMOptimizationLevel.ADVANCED);
    tool.setObfuscated(true);
    tool.generate();
    List<String> problems =
        tool.getProblemProvider().getSevereProblems().stream().map(Make::text).toList();
    if (!problems.isEmpty()) {
      throw new IllegalStateException(
          "the engine cannot be made for the browser:\n" + String.join("\n", problems));
    }
  }

  private static String text(Problem p) {
    return "%s: %s %s"
        .formatted(p.getLocation().getMethod(), p.getText(), Arrays.toString(p.getParams()));
  }

  /** Under a name that changes with it, so that browsers may keep it. */
  private static void publish(Path made, Path named) throws IOException {
    byte[] script = Files.readAllBytes(made);
    CRC32 sum = new CRC32();
    sum.update(script);
    Path assets = named.resolveSibling("assets");
    Files.createDirectories(assets);
    try (Stream<Path> before = Files.list(assets)) {
      before.map(Path::toFile).forEach(File::delete);
    }
    String file = "pocket-%08x.js".formatted(sum.getValue());
    Files.write(assets.resolve(file), script);
    Files.writeString(
        named, "{\"file\": \"/assets/%s\"}\n".formatted(file), StandardCharsets.UTF_8);
  }
}
