package oficina.server.problems;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.TypeMismatchException;
import org.springframework.dao.DataAccessException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.transaction.TransactionException;
import org.springframework.validation.FieldError;
import org.springframework.web.bind.MethodArgumentNotValidException;
import org.springframework.web.bind.MissingServletRequestParameterException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.WebRequest;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.DatabindException;
import tools.jackson.databind.json.JsonMapper;

/**
 * Turns whatever goes wrong into a problem document (RFC 9457): a code, and what it speaks of. The
 * pages make the sentence of it, in the language of whoever reads it.
 */
@RestControllerAdvice
public class Problems extends ResponseEntityExceptionHandler {
  private static final Logger LOG = LoggerFactory.getLogger(Problems.class);

  private final JsonMapper json;
  private final Refusals refusals;

  Problems(JsonMapper json, Refusals refusals) {
    this.json = json;
    this.refusals = refusals;
  }

  @ExceptionHandler
  ResponseEntity<Object> problem(Problem problem) {
    ResponseEntity.BodyBuilder answer =
        ResponseEntity.status(problem.status()).contentType(MediaType.APPLICATION_PROBLEM_JSON);
    AnswerHeaders.ofRefusal().forEach(answer::header);
    problem.headers().forEach(answer::header);
    return answer.body(document(problem));
  }

  @ExceptionHandler({DataAccessException.class, TransactionException.class})
  ResponseEntity<Object> databaseAway(RuntimeException e) {
    LOG.warn("The database did not answer: {}", e.getMessage());
    return problem(new Problem(HttpStatus.SERVICE_UNAVAILABLE, "DATABASE_AWAY"));
  }

  @ExceptionHandler
  ResponseEntity<Object> unexpected(RuntimeException e) {
    LOG.error("A request failed", e);
    return problem(Problem.ofStatus(HttpStatus.INTERNAL_SERVER_ERROR));
  }

  @Override
  protected ResponseEntity<Object> handleMethodArgumentNotValid(
      MethodArgumentNotValidException e,
      HttpHeaders headers,
      HttpStatusCode status,
      WebRequest request) {
    return fieldsWrong(
        HttpStatus.UNPROCESSABLE_CONTENT, e.getFieldErrors().stream().map(FieldError::getField));
  }

  /** Not JSON, or not of the form that is expected at some place in it. */
  @Override
  protected ResponseEntity<Object> handleHttpMessageNotReadable(
      HttpMessageNotReadableException e,
      HttpHeaders headers,
      HttpStatusCode status,
      WebRequest request) {
    if (e.getRootCause() instanceof Problem problem) {
      return problem(problem);
    }
    if (e.getCause() instanceof DatabindException wrong && !wrong.getPath().isEmpty()) {
      return fieldsWrong(
          HttpStatus.UNPROCESSABLE_CONTENT,
          wrong.getPath().stream().map(JacksonException.Reference::getPropertyName).limit(1));
    }
    return handleExceptionInternal(e, null, headers, status, request);
  }

  @Override
  protected ResponseEntity<Object> handleMissingServletRequestParameter(
      MissingServletRequestParameterException e,
      HttpHeaders headers,
      HttpStatusCode status,
      WebRequest request) {
    return fieldsWrong(HttpStatus.BAD_REQUEST, Stream.of(e.getParameterName()));
  }

  @Override
  protected ResponseEntity<Object> handleTypeMismatch(
      TypeMismatchException e, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
    return fieldsWrong(HttpStatus.BAD_REQUEST, Stream.ofNullable(e.getPropertyName()));
  }

  private ResponseEntity<Object> fieldsWrong(HttpStatus status, Stream<String> names) {
    String fields =
        names.filter(Objects::nonNull).distinct().sorted().collect(Collectors.joining(", "));
    return problem(new Problem(status, "FIELDS_WRONG", Map.of("fields", fields)));
  }

  /** Everything else Spring finds wrong with a request: not JSON, no such address and so on. */
  @Override
  protected ResponseEntity<Object> handleExceptionInternal(
      Exception e,
      @Nullable Object body,
      HttpHeaders headers,
      HttpStatusCode status,
      WebRequest request) {
    HttpStatus known = HttpStatus.valueOf(status.value());
    if (known.is5xxServerError()) {
      LOG.error("A request failed", e);
    }
    return problem(Problem.ofStatus(known));
  }

  /** Writes a problem where no controller is at work. */
  public void write(HttpServletResponse response, Problem problem) throws IOException {
    response.setStatus(problem.status().value());
    response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
    AnswerHeaders.ofRefusal().forEach(response::setHeader);
    problem.headers().forEach(response::setHeader);
    response.getOutputStream().write(json.writeValueAsBytes(document(problem)));
  }

  private ProblemDetail document(Problem problem) {
    refusals.count(problem);
    ProblemDetail document = ProblemDetail.forStatus(problem.status());
    document.setProperty("code", problem.code());
    document.setProperty("about", problem.about());
    return document;
  }
}
