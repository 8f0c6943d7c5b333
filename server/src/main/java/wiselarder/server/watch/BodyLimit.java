package wiselarder.server.watch;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** Refuses bodies that no farm fills, before they are read into memory. */
@Component
@Order(0)
class BodyLimit extends OncePerRequestFilter {
  private static final long MOST_BYTES = 12_000_000;

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    if (request.getContentLengthLong() > MOST_BYTES) {
      response.sendError(HttpServletResponse.SC_REQUEST_ENTITY_TOO_LARGE);
      return;
    }
    chain.doFilter(request.getContentLengthLong() < 0 ? new Counted(request) : request, response);
  }

  /** A body of unknown length ends where the limit is. */
  private static final class Counted extends HttpServletRequestWrapper {
    Counted(HttpServletRequest request) {
      super(request);
    }

    @Override
    public ServletInputStream getInputStream() throws IOException {
      return new Limited(super.getInputStream());
    }
  }

  private static final class Limited extends ServletInputStream {
    private final ServletInputStream in;
    private long left = MOST_BYTES;

    Limited(ServletInputStream in) {
      this.in = in;
    }

    @Override
    public int read() throws IOException {
      return left-- > 0 ? in.read() : -1;
    }

    @Override
    public int read(byte[] into, int offset, int length) throws IOException {
      if (left <= 0) {
        return -1;
      }
      int read = in.read(into, offset, (int) Math.min(length, left));
      left -= Math.max(0, read);
      return read;
    }

    @Override
    public boolean isFinished() {
      return left <= 0 || in.isFinished();
    }

    @Override
    public boolean isReady() {
      return in.isReady();
    }

    @Override
    public void setReadListener(ReadListener listener) {
      in.setReadListener(listener);
    }
  }
}
