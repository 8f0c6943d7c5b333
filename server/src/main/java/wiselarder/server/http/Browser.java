package wiselarder.server.http;

import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** What a session was begun with, in two words: enough for its owner to know it again. */
final class Browser {
  private static final Pattern SYSTEM =
      Pattern.compile("Android|iPhone|iPad|Windows|Mac OS|CrOS|Linux");
  private static final Pattern PROGRAM = Pattern.compile("Firefox|Edg|OPR|Chrome|Safari");

  private Browser() {}

  /** The words for a header, empty where it tells nothing. */
  static String of(String userAgent) {
    String given = userAgent == null ? "" : userAgent;
    // the program that names itself last is the one that it is, but that all end by naming Safari
    String others = given.replaceAll("Safari", "");
    String program = last(PROGRAM, others.matches(".*(Chrome|Edg|OPR).*") ? others : given);
    String named = program.replace("Edg", "Edge").replace("OPR", "Opera");
    return "%s %s".formatted(named, last(SYSTEM, given)).strip();
  }

  private static String last(Pattern pattern, String text) {
    Matcher m = pattern.matcher(text);
    String found = "";
    while (m.find()) {
      found = m.group();
    }
    return found;
  }
}
