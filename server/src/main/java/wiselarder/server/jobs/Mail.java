package wiselarder.server.jobs;

/** What carries letters. The product ships a stand-in; a real one would be asked in its place. */
interface Mail {
  /** What it is called on the screen. */
  String name();

  /** A letter in plain text. */
  record Letter(String to, String subject, String text) {}

  void send(Letter letter);
}
