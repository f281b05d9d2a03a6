package oficina.server.door;

import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import java.io.IOException;
import java.util.Map;
import oficina.server.problems.Problem;
import org.springframework.http.HttpStatus;

/** A request whose body ends in a refusal when it is too large, also when it comes in chunks. */
class LimitedBody extends HttpServletRequestWrapper {
  private final long limit;

  LimitedBody(HttpServletRequest request, long limit) {
    super(request);
    this.limit = limit;
  }

  static Problem tooLarge(long limit) {
    return new Problem(
        HttpStatus.CONTENT_TOO_LARGE,
        "BODY_TOO_LARGE",
        Map.of("limit", Long.toString(limit / 1024)));
  }

  @Override
  public ServletInputStream getInputStream() throws IOException {
    ServletInputStream body = super.getInputStream();
    return new ServletInputStream() {
      private long taken;

      @Override
      public int read() throws IOException {
        int next = body.read();
        count(next < 0 ? 0 : 1);
        return next;
      }

      @Override
      public int read(byte[] into, int from, int most) throws IOException {
        int read = body.read(into, from, most);
        count(Math.max(0, read));
        return read;
      }

      private void count(int more) {
        taken += more;
        if (taken > limit) {
          throw tooLarge(limit);
        }
      }

      @Override
      public boolean isFinished() {
        return body.isFinished();
      }

      @Override
      public boolean isReady() {
        return body.isReady();
      }

      @Override
      public void setReadListener(ReadListener listener) {
        body.setReadListener(listener);
      }
    };
  }
}
