package wiselarder.server.work;

/** What a process of the product is for. */
public enum Role {
  /** It serves people, and works aside. */
  BOTH,
  /** It serves people; others work. */
  WEB,
  /** It works, and tells nobody anything but how it is. */
  WORKER
}
