package oficina.server.problems;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Map;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.transaction.TransactionException;
import org.springframework.validation.FieldError;
import org.springframework.web.bind.MethodArgumentNotValidException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.WebRequest;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;
import tools.jackson.databind.json.JsonMapper;

/** Turns whatever goes wrong into a problem document (RFC 9457) with a sentence to act on. */
@RestControllerAdvice
public class Problems extends ResponseEntityExceptionHandler {
  private static final Logger LOG = LoggerFactory.getLogger(Problems.class);

  private final Words words;
  private final JsonMapper json;

  Problems(Words words, JsonMapper json) {
    this.words = words;
    this.json = json;
  }

  @ExceptionHandler
  ResponseEntity<Object> problem(Problem problem) {
    return answer(document(problem.status(), problem.code(), problem.about()));
  }

  @ExceptionHandler({DataAccessException.class, TransactionException.class})
  ResponseEntity<Object> databaseAway(RuntimeException e) {
    LOG.warn("The database did not answer: {}", e.getMessage());
    return answer(document(HttpStatus.SERVICE_UNAVAILABLE, "DATABASE_AWAY", Map.of()));
  }

  @ExceptionHandler
  ResponseEntity<Object> unexpected(RuntimeException e) {
    LOG.error("A request failed", e);
    return answer(document(HttpStatus.INTERNAL_SERVER_ERROR, "UNEXPECTED", Map.of()));
  }

  @Override
  protected ResponseEntity<Object> handleMethodArgumentNotValid(
      MethodArgumentNotValidException e,
      HttpHeaders headers,
      HttpStatusCode status,
      WebRequest request) {
    String fields =
        e.getFieldErrors().stream()
            .map(FieldError::getField)
            .distinct()
            .sorted()
            .collect(Collectors.joining(", "));
    return answer(
        document(HttpStatus.UNPROCESSABLE_CONTENT, "FIELDS_WRONG", Map.of("fields", fields)));
  }

  /** Everything else Spring finds wrong with a request: not JSON, no such address and so on. */
  @Override
  protected ResponseEntity<Object> handleExceptionInternal(
      Exception e, Object body, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
    HttpStatus known = HttpStatus.valueOf(status.value());
    String code =
        switch (known) {
          case NOT_FOUND -> "NOT_FOUND";
          case METHOD_NOT_ALLOWED -> "METHOD_NOT_ALLOWED";
          default -> known.is5xxServerError() ? "UNEXPECTED" : "NOT_UNDERSTOOD";
        };
    if (known.is5xxServerError()) {
      LOG.error("A request failed", e);
    }
    return answer(document(known, code, Map.of()));
  }

  private ResponseEntity<Object> answer(ProblemDetail document) {
    return ResponseEntity.status(document.getStatus())
        .contentType(MediaType.APPLICATION_PROBLEM_JSON)
        .body(document);
  }

  /** Writes a problem where no controller is at work. */
  public void write(HttpServletResponse response, HttpStatus status, String code)
      throws IOException {
    response.setStatus(status.value());
    response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
    response.setCharacterEncoding("UTF-8");
    response.getWriter().write(json.writeValueAsString(document(status, code, Map.of())));
  }

  private ProblemDetail document(HttpStatus status, String code, Map<String, String> about) {
    ProblemDetail document = ProblemDetail.forStatusAndDetail(status, words.sentence(code, about));
    document.setProperty("code", code);
    return document;
  }
}
