package wiselarder.server.cli;

import wiselarder.core.check.Matrix;
import wiselarder.core.engine.Engine;

/** {@code ./larder check model}: the engine against its tables, as Markdown on standard output. */
public final class CheckCommand {
  private static final int YEARS = 20;

  private CheckCommand() {}

  public static void main(String[] args) {
    if (args.length != 1 || !args[0].equals("model")) {
      System.err.println("larder: check what? ./larder check model");
      System.exit(2);
    }
    System.out.print(Matrix.of(Engine.load(), YEARS));
  }
}
