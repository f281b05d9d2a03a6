package oficina.server.calls;

import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import oficina.core.commands.Command;
import oficina.core.decision.Refusal;
import oficina.core.decision.Refusal.Reason;
import oficina.server.exchange.ExchangeLoop;
import oficina.server.office.OfficeData;
import oficina.server.problems.Problem;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/** Hands commands of requests to the exchange and waits until they are durable. */
@Component
public class Commands {
  private static final long PATIENCE_SECONDS = 10;

  private final ExchangeLoop loop;
  private final OfficeData office;
  private final DeviceGuard guard;

  Commands(ExchangeLoop loop, OfficeData office, DeviceGuard guard) {
    this.loop = loop;
    this.office = office;
    this.guard = guard;
  }

  /**
   * Returns when the command has been carried out.
   *
   * @throws Problem when the exchange refuses it
   */
  public void carryOut(Command command) {
    if (command instanceof Command.AtDevice at && !guard.mayUse(at.person(), at.device())) {
      throw new Problem(HttpStatus.CONFLICT, Reason.NO_SUCH_DEVICE.name());
    }
    if (await(loop.submit(command, SubmissionFilter.current())) instanceof Refusal refusal) {
      throw problem(refusal);
    }
  }

  /** Waits for an answer of the exchange. */
  public static <T> T await(CompletableFuture<T> answer) {
    try {
      return answer.get(PATIENCE_SECONDS, TimeUnit.SECONDS);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(e);
    } catch (ExecutionException e) {
      if (e.getCause() instanceof Problem problem) {
        throw problem;
      }
      throw new IllegalStateException(e.getCause());
    } catch (TimeoutException e) {
      throw new Problem(HttpStatus.SERVICE_UNAVAILABLE, "EXCHANGE_SLOW");
    }
  }

  private Problem problem(Refusal refusal) {
    HttpStatus status =
        switch (refusal.reason()) {
          case NO_SUCH_CALL -> HttpStatus.NOT_FOUND;
          case NOT_CALLABLE, NOT_DIGITS, OWN_NUMBER -> HttpStatus.UNPROCESSABLE_CONTENT;
          default -> HttpStatus.CONFLICT;
        };
    return new Problem(status, refusal.code(), refusal.words(office.now()::nameOf));
  }
}
