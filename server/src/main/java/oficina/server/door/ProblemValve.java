package oficina.server.door;

import java.io.IOException;
import oficina.server.problems.AnswerHeaders;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.valves.ErrorReportValve;
import org.springframework.http.MediaType;

/** What the container refuses by itself becomes a problem document too (RFC 9457). */
public class ProblemValve extends ErrorReportValve {

  @Override
  protected void report(Request request, Response response, Throwable thrown) {
    // A method that no server of this kind knows is an error of whoever asks.
    int status = response.getStatus() == 501 ? 405 : response.getStatus();
    if (status < 400 || response.getContentWritten() > 0 || !response.setErrorReported()) {
      return;
    }
    String code =
        switch (status) {
          case 405 -> "METHOD_NOT_ALLOWED";
          case 404 -> "NOT_FOUND";
          default -> status >= 500 ? "UNEXPECTED" : "ADDRESS_MALFORMED";
        };
    String document = "{\"status\":%d,\"code\":\"%s\",\"about\":{}}".formatted(status, code);
    try {
      response.setStatus(status);
      response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
      AnswerHeaders.ofRefusal().forEach(response::setHeader);
      response.getReporter().write(document);
      response.finishResponse();
    } catch (IOException | IllegalStateException e) {
      // Whoever asked has gone.
    }
  }
}
