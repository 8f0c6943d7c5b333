package org.teavm.classlib.java.util.concurrent.locks;

/** A lock where one thread is all there is. Its name puts it in the place of Java's own. */
public class TReentrantLock {
  public TReentrantLock() {}

  public TReentrantLock(boolean fair) {}

  public void lock() {}

  public void unlock() {}
}
