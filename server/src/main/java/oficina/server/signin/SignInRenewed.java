package oficina.server.signin;

/**
 * A sign-in goes on with another secret: whatever was opened with the one before opens anew.
 *
 * @param id of the {@link SignIn}
 */
public record SignInRenewed(String id) {}
