package oficina.server.threads;

import com.sun.jna.Native;
import com.sun.jna.NativeLibrary;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** What the operating system gives a thread: Java's own priorities count for nothing on Linux. */
final class Priority {
  private static final Logger LOG = LoggerFactory.getLogger(Priority.class);
  private static final int OF_A_THREAD = 0;
  private static final int THIS_ONE = 0;

  /** Linux gives such a thread a thirtieth of what it gives another one. */
  static final int BEHIND = 15;

  /** A third. */
  static final int BESIDE = 5;

  private static final boolean THERE = load();

  private Priority() {}

  private static boolean load() {
    try {
      Native.register(NativeLibrary.getInstance("c"));
      return true;
    } catch (UnsatisfiedLinkError e) {
      LOG.info("All threads have the same priority: {}", e.getMessage());
      return false;
    }
  }

  /** From now on the present thread goes behind the others. */
  static void lower(int niceness) {
    if (THERE && setpriority(OF_A_THREAD, THIS_ONE, niceness) != 0) {
      LOG.info("This thread keeps its priority");
    }
  }

  /** POSIX; on Linux it is one thread that has a priority, not the process. */
  private static native int setpriority(int which, int who, int nice);
}
