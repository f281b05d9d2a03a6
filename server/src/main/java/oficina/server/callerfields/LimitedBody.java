package oficina.server.callerfields;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.ByteBuffer;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionStage;
import java.util.concurrent.Flow;
import org.jspecify.annotations.Nullable;

/** Takes in what an address says, and no more of it than can be of use. */
final class LimitedBody implements HttpResponse.BodySubscriber<byte[]> {
  private static final int MOST = 16_384;

  private final ByteArrayOutputStream taken = new ByteArrayOutputStream();
  private final CompletableFuture<byte[]> body = new CompletableFuture<>();
  private Flow.@Nullable Subscription from;

  @Override
  public CompletionStage<byte[]> getBody() {
    return body;
  }

  @Override
  public void onSubscribe(Flow.Subscription subscription) {
    from = subscription;
    subscription.request(Long.MAX_VALUE);
  }

  @Override
  public void onNext(List<ByteBuffer> parts) {
    for (ByteBuffer part : parts) {
      byte[] bytes = new byte[part.remaining()];
      part.get(bytes);
      taken.writeBytes(bytes);
    }
    if (taken.size() > MOST) {
      from.cancel();
      body.completeExceptionally(new IOException("The answer is longer than " + MOST + " bytes"));
    }
  }

  @Override
  public void onError(Throwable error) {
    body.completeExceptionally(error);
  }

  @Override
  public void onComplete() {
    body.complete(taken.toByteArray());
  }
}
