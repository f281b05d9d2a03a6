package oficina.server.signin;

/**
 * A sign-in has ended: whatever was opened with it closes.
 *
 * @param id of the {@link SignIn}
 */
public record SignInEnded(String id) {}
