package oficina.server.calls;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import oficina.server.journal.JournalWriter;
import oficina.server.problems.Problem;
import oficina.server.problems.Problems;
import oficina.server.signin.SignIn;
import org.jspecify.annotations.Nullable;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.Authentication;
import org.springframework.stereotype.Component;
import org.springframework.web.context.request.RequestAttributes;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.util.ContentCachingResponseWrapper;

/**
 * A submission that carries an identity (header Idempotency-Key, IETF draft of that name) counts
 * once: sent again, it is answered as it was the first time, and nothing is done. How it was
 * answered is known as long as the server runs; that it led to something at the exchange is in the
 * journal, so that it is not done once more after a restart.
 */
@Component
@Order(0) // after the security chain, which says who asks
class SubmissionFilter extends OncePerRequestFilter {
  private static final String HEADER = "Idempotency-Key";
  private static final int LONGEST_KEY = 80;
  private static final String ATTRIBUTE = SubmissionFilter.class.getName();
  private static final int MOST = 20_000;
  private static final Set<String> SAFE = Set.of("GET", "HEAD", "OPTIONS");

  private final Problems problems;

  /** By sign-in and key; the oldest goes first. */
  private final Map<String, Submission> submissions =
      new LinkedHashMap<>() {
        private static final long serialVersionUID = 1;

        @Override
        protected boolean removeEldestEntry(Map.Entry<String, Submission> eldest) {
          return size() > MOST;
        }
      };

  SubmissionFilter(Problems problems, JournalWriter journal) {
    this.problems = problems;
    journal.submissions(MOST).forEach(key -> submissions.put(key, Submission.BEFORE_THE_START));
  }

  /** The identity of the submission that is being carried out in this thread, if it has one. */
  static @Nullable String current() {
    RequestAttributes request = RequestContextHolder.getRequestAttributes();
    return request == null
        ? null
        : (String) request.getAttribute(ATTRIBUTE, RequestAttributes.SCOPE_REQUEST);
  }

  private record Answer(int status, @Nullable String type, byte[] body) {}

  /**
   * A submission that has come in.
   *
   * @param what it asks for: the same key cannot ask for something else
   */
  private record Submission(String what, CompletableFuture<Answer> answer) {
    /** One that was carried out before the server started: how it was answered is not known. */
    static final Submission BEFORE_THE_START = new Submission("", new CompletableFuture<>());
  }

  @Override
  protected boolean shouldNotFilter(HttpServletRequest request) {
    return request.getHeader(HEADER) == null
        || SAFE.contains(request.getMethod())
        || request.getRequestURI().startsWith("/api/session")
        || !(request.getUserPrincipal() instanceof Authentication);
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    try {
      String key = key(request);
      Submission mine = new Submission(what(request), new CompletableFuture<>());
      Submission first = begin(key, mine);
      if (first == mine) {
        request.setAttribute(ATTRIBUTE, key);
        carryOut(key, mine, request, response, chain);
      } else if (first == Submission.BEFORE_THE_START) {
        throw new Problem(HttpStatus.CONFLICT, "SUBMISSION_DONE");
      } else if (!first.what().equals(mine.what())) {
        throw new Problem(HttpStatus.UNPROCESSABLE_CONTENT, "SUBMISSION_REUSED");
      } else {
        write(Commands.await(first.answer()), response);
      }
    } catch (Problem problem) {
      problems.write(response, problem);
    }
  }

  private static String what(HttpServletRequest request) {
    return request.getMethod() + " " + request.getRequestURI();
  }

  private static String key(HttpServletRequest request) {
    String key = request.getHeader(HEADER);
    if (key.isBlank() || key.length() > LONGEST_KEY) {
      throw new Problem(HttpStatus.BAD_REQUEST, "FIELDS_WRONG", Map.of("fields", HEADER));
    }
    SignIn signIn = SignIn.of((Authentication) request.getUserPrincipal());
    return signIn.id() + " " + key;
  }

  private synchronized Submission begin(String key, Submission mine) {
    Submission first = submissions.putIfAbsent(key, mine);
    return first == null ? mine : first;
  }

  private synchronized void forget(String key) {
    submissions.remove(key);
  }

  private void carryOut(
      String key,
      Submission mine,
      HttpServletRequest request,
      HttpServletResponse response,
      FilterChain chain)
      throws ServletException, IOException {
    ContentCachingResponseWrapper kept = new ContentCachingResponseWrapper(response);
    try {
      chain.doFilter(request, kept);
      mine.answer()
          .complete(
              new Answer(kept.getStatus(), kept.getContentType(), kept.getContentAsByteArray()));
      if (kept.getStatus() >= 500) {
        forget(key); // what has failed may be tried again
      }
      kept.copyBodyToResponse();
    } finally {
      if (!mine.answer().isDone()) {
        forget(key);
        mine.answer().completeExceptionally(Problem.ofStatus(HttpStatus.INTERNAL_SERVER_ERROR));
      }
    }
  }

  private static void write(Answer answer, HttpServletResponse response) throws IOException {
    response.setStatus(answer.status());
    if (answer.type() != null) {
      response.setContentType(answer.type());
    }
    response.getOutputStream().write(answer.body());
  }
}
