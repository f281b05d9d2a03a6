package oficina.server.signin;

/**
 * Somebody has signed out.
 *
 * @param httpSession the session that ended with it
 */
public record SignedOut(String httpSession) {}
