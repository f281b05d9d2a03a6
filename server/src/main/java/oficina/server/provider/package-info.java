/**
 * Signing in by the identity provider of the office (OpenID Connect Core 1.0, authorization code
 * with PKCE). Begin with {@link oficina.server.provider.IdentityProvider}: it sends a browser
 * there, and learns from the provider who came back. Whose person that is says {@link
 * oficina.server.provider.Vouched}, by their mail.
 */
@NullMarked
package oficina.server.provider;

import org.jspecify.annotations.NullMarked;
