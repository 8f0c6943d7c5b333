package wiselarder.server.watch;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicInteger;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import wiselarder.server.problem.Answers;
import wiselarder.server.problem.BodyRefused;
import wiselarder.server.problem.ServerReason;

/**
 * What comes in: never more than the operation takes ({@link BodyLimit} says how much), never
 * slower than {@value #LEAST_BYTES_A_SECOND} bytes a second after a time of grace, and only so many
 * bodies at once, so that threads are left for those who read. Whatever is left unread is read here
 * by the same rules, so that the server underneath never waits for it.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 2)
class Bodies extends OncePerRequestFilter {
  static final int STRANGER_BYTES = 10_000;
  static final int LEAST_BYTES_A_SECOND = 1000;

  /** Of a body that is refused this much is read, so that its sender reads the refusal. */
  private static final int DRAINED_BYTES = 64_000;

  private static final int DRAINED_OF_MEMBERS_BYTES = 16_000_000;
  private static final int MOST_OF_ONE_ADDRESS = 30;

  /** Of the 200 requests that are answered at once. */
  private static final int MOST_AT_ONCE = 120;

  private final Answers answers;
  private final Duration grace;
  private final AtomicInteger all = new AtomicInteger();
  private final Map<String, Integer> byAddress = new ConcurrentHashMap<>();

  Bodies(Answers answers, @Value("${larder.slow-body-grace}") Duration grace) {
    this.answers = answers;
    this.grace = grace;
  }

  @Override
  protected boolean shouldNotFilter(HttpServletRequest request) {
    return request.getContentLengthLong() <= 0 && request.getHeader("Transfer-Encoding") == null;
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    if (isForm(request)) {
      // read by the server underneath before anybody looked at it
      response.setHeader("Connection", "close");
      answers.write(response, HttpStatus.UNSUPPORTED_MEDIA_TYPE, ServerReason.REJECTED);
      return;
    }
    String address = request.getRemoteAddr();
    try {
      if (!enter(address)) {
        response.setHeader("Connection", "close");
        response.setHeader("Retry-After", "5");
        answers.write(response, HttpStatus.SERVICE_UNAVAILABLE, ServerReason.BUSY);
        return;
      }
      Body body = new Body(request.getInputStream());
      request.setAttribute(Body.class.getName(), body);
      chain.doFilter(new Guarded(request, body), response);
      if (!body.drain(request)) {
        response.setHeader("Connection", "close");
      }
    } finally {
      leave(address);
    }
  }

  private static boolean isForm(HttpServletRequest request) {
    String type = String.valueOf(request.getContentType()).toLowerCase(Locale.ROOT);
    return type.startsWith("application/x-www-form-urlencoded") || type.startsWith("multipart/");
  }

  private boolean enter(String address) {
    int ofOne = byAddress.merge(address, 1, Integer::sum);
    return all.incrementAndGet() <= MOST_AT_ONCE && ofOne <= MOST_OF_ONE_ADDRESS;
  }

  private void leave(String address) {
    all.decrementAndGet();
    byAddress.computeIfPresent(address, (a, n) -> n == 1 ? null : n - 1);
  }

  /** The body of one request. */
  final class Body extends ServletInputStream {
    private final ServletInputStream in;
    private long mostBytes = STRANGER_BYTES;
    private long readBytes;
    private long beganNanos;
    private boolean over;

    Body(ServletInputStream in) {
      this.in = in;
    }

    /** Lets as much through as an operation takes. */
    void most(long bytes) {
      mostBytes = bytes;
    }

    @Override
    public int read() throws IOException {
      byte[] one = new byte[1];
      return read(one, 0, 1) < 0 ? -1 : one[0] & 0xff;
    }

    @Override
    public int read(byte[] into, int offset, int length) throws IOException {
      if (readBytes > mostBytes) {
        throw BodyRefused.tooLarge(mostBytes);
      }
      int read = readInTime(into, offset, length);
      if (readBytes > mostBytes) {
        throw BodyRefused.tooLarge(mostBytes);
      }
      return read;
    }

    private int readInTime(byte[] into, int offset, int length) throws IOException {
      if (over) {
        return -1;
      }
      if (beganNanos == 0) {
        beganNanos = System.nanoTime();
      }
      int read = in.read(into, offset, length);
      over = read < 0;
      readBytes += Math.max(0, read);
      double seconds = (System.nanoTime() - beganNanos) / 1e9;
      if (!over && seconds > grace.toMillis() / 1e3 && readBytes < seconds * LEAST_BYTES_A_SECOND) {
        throw BodyRefused.tooSlow();
      }
      return read;
    }

    /** Reads what is left, up to a limit; false where it did not come to an end. */
    private boolean drain(HttpServletRequest request) {
      if (beganNanos == 0 && request.getHeader("Expect") != null) {
        return false; // not sent yet, and not wanted
      }
      long most =
          Math.max(
              mostBytes, mostBytes > STRANGER_BYTES ? DRAINED_OF_MEMBERS_BYTES : DRAINED_BYTES);
      byte[] away = new byte[8192];
      try {
        while (!over && readBytes <= most) {
          readInTime(away, 0, away.length);
        }
      } catch (IOException tooSlowOrGone) {
        return false;
      }
      return over;
    }

    @Override
    public boolean isFinished() {
      return over || in.isFinished();
    }

    @Override
    public boolean isReady() {
      return in.isReady();
    }

    @Override
    public void setReadListener(ReadListener listener) {
      throw new IllegalStateException("bodies are read as they come");
    }
  }

  private static final class Guarded extends HttpServletRequestWrapper {
    private final Body body;

    Guarded(HttpServletRequest request, Body body) {
      super(request);
      this.body = body;
    }

    @Override
    public ServletInputStream getInputStream() {
      return body;
    }

    @Override
    public BufferedReader getReader() {
      return new BufferedReader(new InputStreamReader(body, StandardCharsets.UTF_8));
    }
  }
}
