package oficina.server.provider;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import com.nimbusds.jose.JWSAlgorithm;
import com.nimbusds.jose.jwk.source.JWKSource;
import com.nimbusds.jose.jwk.source.JWKSourceBuilder;
import com.nimbusds.jose.proc.JWSKeySelector;
import com.nimbusds.jose.proc.JWSVerificationKeySelector;
import com.nimbusds.jose.proc.SecurityContext;
import com.nimbusds.jose.util.DefaultResourceRetriever;
import com.nimbusds.jwt.JWTParser;
import com.nimbusds.oauth2.sdk.AuthorizationCode;
import com.nimbusds.oauth2.sdk.AuthorizationCodeGrant;
import com.nimbusds.oauth2.sdk.GeneralException;
import com.nimbusds.oauth2.sdk.ParseException;
import com.nimbusds.oauth2.sdk.ResponseType;
import com.nimbusds.oauth2.sdk.Scope;
import com.nimbusds.oauth2.sdk.TokenRequest;
import com.nimbusds.oauth2.sdk.TokenResponse;
import com.nimbusds.oauth2.sdk.auth.ClientSecretBasic;
import com.nimbusds.oauth2.sdk.auth.Secret;
import com.nimbusds.oauth2.sdk.http.HTTPRequest;
import com.nimbusds.oauth2.sdk.http.HTTPResponse;
import com.nimbusds.oauth2.sdk.id.ClientID;
import com.nimbusds.oauth2.sdk.id.Issuer;
import com.nimbusds.oauth2.sdk.id.State;
import com.nimbusds.oauth2.sdk.pkce.CodeChallengeMethod;
import com.nimbusds.oauth2.sdk.pkce.CodeVerifier;
import com.nimbusds.openid.connect.sdk.AuthenticationRequest;
import com.nimbusds.openid.connect.sdk.Nonce;
import com.nimbusds.openid.connect.sdk.OIDCTokenResponse;
import com.nimbusds.openid.connect.sdk.OIDCTokenResponseParser;
import com.nimbusds.openid.connect.sdk.UserInfoRequest;
import com.nimbusds.openid.connect.sdk.UserInfoResponse;
import com.nimbusds.openid.connect.sdk.claims.PersonClaims;
import com.nimbusds.openid.connect.sdk.claims.UserInfo;
import com.nimbusds.openid.connect.sdk.op.OIDCProviderMetadata;
import com.nimbusds.openid.connect.sdk.token.OIDCTokens;
import com.nimbusds.openid.connect.sdk.validators.IDTokenValidator;
import com.nimbusds.openid.connect.sdk.validators.LogoutTokenValidator;
import java.io.IOException;
import java.net.URI;
import java.net.URL;
import java.time.Duration;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.Semaphore;
import oficina.server.json.CoreJson;
import oficina.server.office.OfficeStore;
import oficina.server.problems.Problem;
import oficina.server.secrets.Sealer;
import oficina.server.secrets.SecretLostException;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/** Asks the identity provider who somebody is, and believes it only what it has signed. */
@Component
class IdentityProvider {
  private static final Logger LOG = LoggerFactory.getLogger(IdentityProvider.class);
  private static final String SETTING = "identity-provider";
  private static final Duration GOING_LASTS = Duration.ofMinutes(10);
  private static final Duration KNOWN_FOR = Duration.ofHours(1);
  private static final int PATIENCE_MS = 5_000;
  private static final int MOST_BYTES = 200_000;

  /** RFC 5321, 4.5.3.1.3. */
  private static final int LONGEST_MAIL = 254;

  /** So many wait for an answer of a slow provider; more are asked to come again. */
  private static final int MOST_AT_ONCE = 10;

  /** By keys that only the provider has: what the office knows as well vouches for nobody. */
  private static final Set<JWSAlgorithm> SIGNED =
      Set.of(
          JWSAlgorithm.RS256,
          JWSAlgorithm.RS384,
          JWSAlgorithm.RS512,
          JWSAlgorithm.PS256,
          JWSAlgorithm.ES256,
          JWSAlgorithm.ES384);

  private final OfficeStore settings;
  private final Sealer sealer;
  private final Semaphore free = new Semaphore(MOST_AT_ONCE);

  /** Who has gone there and not come back, by what they come back with. */
  private final Cache<String, Going> going =
      Caffeine.newBuilder().expireAfterWrite(GOING_LASTS).maximumSize(10_000).build();

  private final Cache<String, Known> known =
      Caffeine.newBuilder().expireAfterWrite(KNOWN_FOR).maximumSize(2).build();

  private volatile @Nullable Provider provider;

  IdentityProvider(OfficeStore settings, Sealer sealer) {
    this.settings = settings;
    this.sealer = sealer;
    provider =
        settings.setting(SETTING).filter(text -> !text.isEmpty()).map(this::opened).orElse(null);
  }

  /** Whose secret is lost has none: people sign in by their passwords until it is told anew. */
  private @Nullable Provider opened(String kept) {
    try {
      String text = sealer.openText(kept, SETTING);
      if (sealer.isToSeal(kept)) {
        settings.set(SETTING, sealer.sealText(text, SETTING));
      }
      return CoreJson.JSON.readValue(text, Provider.class);
    } catch (SecretLostException e) {
      LOG.error("Nobody signs in by the identity provider until it is named anew", e);
      return null;
    }
  }

  /**
   * What a provider says of itself.
   *
   * @param keys by which it signs; asked for anew when they change, and not by whoever sends
   *     nonsense again and again
   */
  private record Known(OIDCProviderMetadata metadata, JWKSource<SecurityContext> keys) {
    JWSKeySelector<SecurityContext> signing() {
      return new JWSVerificationKeySelector<>(SIGNED, keys);
    }
  }

  /**
   * @param browser hash of what the browser is known by that went there
   */
  private record Going(Nonce nonce, CodeVerifier verifier, String browser) {}

  /**
   * Somebody the provider vouches for.
   *
   * @param subject by which it knows them for good
   * @param mail that it has made sure of; empty when there is none
   * @param name empty when it does not say
   */
  record Somebody(String subject, String mail, String name) {}

  /** The one of this office; null when it has none. */
  @Nullable Provider provider() {
    return provider;
  }

  /**
   * People sign in there from now on, too.
   *
   * @param next null for no longer
   * @throws Problem when nobody answers there as a provider does
   */
  void become(@Nullable Provider next) {
    if (next != null) {
      Provider.check(next.issuer());
      known.invalidate(next.issuer());
      asking(() -> known(next));
    }
    settings.set(
        SETTING,
        next == null ? "" : sealer.sealText(CoreJson.JSON.writeValueAsString(next), SETTING));
    provider = next;
    going.invalidateAll();
  }

  /**
   * @throws Problem when the office has none
   */
  Provider present() {
    Provider now = provider;
    if (now == null) {
      throw new Problem(HttpStatus.NOT_FOUND, "NO_PROVIDER");
    }
    return now;
  }

  /** Asks the provider something, or says that it does not answer. */
  private <T> T asking(Question<T> question) {
    if (!free.tryAcquire()) {
      throw new Problem(HttpStatus.SERVICE_UNAVAILABLE, "PROVIDER_SLOW");
    }
    try {
      return question.ask();
    } catch (GeneralException | IOException e) {
      LOG.warn("The identity provider does not answer as it should: {}", e.getMessage());
      throw new Problem(HttpStatus.BAD_GATEWAY, "PROVIDER_SILENT");
    } catch (com.nimbusds.jose.proc.BadJOSEException
        | com.nimbusds.jose.JOSEException
        | java.text.ParseException e) {
      LOG.warn("What the identity provider says is not to be believed: {}", e.getMessage());
      throw new Problem(HttpStatus.UNAUTHORIZED, "PROVIDER_NOT_BELIEVED");
    } finally {
      free.release();
    }
  }

  private interface Question<T> {
    T ask()
        throws GeneralException,
            IOException,
            com.nimbusds.jose.proc.BadJOSEException,
            com.nimbusds.jose.JOSEException,
            java.text.ParseException;
  }

  private Known known(Provider of) throws GeneralException, IOException {
    Known before = known.getIfPresent(of.issuer());
    if (before != null) {
      return before;
    }
    OIDCProviderMetadata its =
        OIDCProviderMetadata.resolve(new Issuer(of.issuer()), PATIENCE_MS, PATIENCE_MS);
    var retriever = new DefaultResourceRetriever(PATIENCE_MS, PATIENCE_MS, MOST_BYTES);
    URL keys = its.getJWKSetURI().toURL();
    Known now = new Known(its, JWKSourceBuilder.create(keys, retriever).build());
    known.put(of.issuer(), now);
    return now;
  }

  /** Where a browser goes to say who is there. */
  URI go(URI back, String browser) {
    Provider now = present();
    OIDCProviderMetadata its = asking(() -> known(now)).metadata();
    State state = new State();
    Going begun = new Going(new Nonce(), new CodeVerifier(), browser);
    going.put(state.getValue(), begun);
    return new AuthenticationRequest.Builder(
            new ResponseType("code"),
            new Scope("openid", "email", "profile"),
            new ClientID(now.clientId()),
            back)
        .endpointURI(its.getAuthorizationEndpointURI())
        .state(state)
        .nonce(begun.nonce())
        .codeChallenge(begun.verifier(), CodeChallengeMethod.S256)
        .build()
        .toURI();
  }

  /**
   * Who has come back.
   *
   * @throws Problem when that browser has not gone there, or the provider does not vouch for them
   */
  Somebody back(String code, String state, URI back, String browser) {
    Provider now = present();
    Going begun = going.asMap().remove(state);
    if (begun == null || !begun.browser().equals(browser)) {
      throw new Problem(HttpStatus.CONFLICT, "PROVIDER_BEGIN_ANEW");
    }
    return asking(
        () -> {
          Known provider = known(now);
          OIDCProviderMetadata its = provider.metadata();
          OIDCTokens tokens = tokens(now, its, code, back, begun.verifier());
          var claims =
              new IDTokenValidator(
                      its.getIssuer(), new ClientID(now.clientId()), provider.signing(), null)
                  .validate(tokens.getIDToken(), begun.nonce());
          UserInfo person = new UserInfo(claims.toJSONObject());
          if (person.getEmailAddress() == null && its.getUserInfoEndpointURI() != null) {
            person = userInfo(its, tokens);
            if (!person.getSubject().equals(claims.getSubject())) {
              throw new ParseException("user info of somebody else");
            }
          }
          return new Somebody(
              claims.getSubject().getValue(),
              mail(person),
              Objects.requireNonNullElse(person.getName(), ""));
        });
  }

  /**
   * One that the provider says it has not made sure of, or that nobody can have, counts as none.
   */
  private static String mail(PersonClaims person) {
    boolean doubtful = Boolean.FALSE.equals(person.getEmailVerified());
    String mail = Objects.requireNonNullElse(person.getEmailAddress(), "");
    return doubtful || mail.length() > LONGEST_MAIL ? "" : mail;
  }

  private static OIDCTokens tokens(
      Provider now, OIDCProviderMetadata its, String code, URI back, CodeVerifier verifier)
      throws GeneralException, IOException {
    TokenRequest request =
        new TokenRequest.Builder(
                its.getTokenEndpointURI(),
                new ClientSecretBasic(new ClientID(now.clientId()), new Secret(now.secret())),
                new AuthorizationCodeGrant(new AuthorizationCode(code), back, verifier))
            .build();
    TokenResponse response = OIDCTokenResponseParser.parse(send(request.toHTTPRequest()));
    if (!(response instanceof OIDCTokenResponse tokens)) {
      throw new ParseException(String.valueOf(response.toErrorResponse().getErrorObject()));
    }
    return tokens.getOIDCTokens();
  }

  private static UserInfo userInfo(OIDCProviderMetadata its, OIDCTokens tokens)
      throws GeneralException, IOException {
    UserInfoRequest request =
        new UserInfoRequest(its.getUserInfoEndpointURI(), tokens.getBearerAccessToken());
    UserInfoResponse response = UserInfoResponse.parse(send(request.toHTTPRequest()));
    if (!response.indicatesSuccess()) {
      throw new ParseException(String.valueOf(response.toErrorResponse().getErrorObject()));
    }
    return response.toSuccessResponse().getUserInfo();
  }

  private static HTTPResponse send(HTTPRequest request) throws IOException {
    request.setConnectTimeout(PATIENCE_MS);
    request.setReadTimeout(PATIENCE_MS);
    request.setFollowRedirects(false);
    return request.send();
  }

  /**
   * Who has signed out there (OpenID Connect Back-Channel Logout 1.0); empty when it says only of
   * which browser.
   *
   * @throws Problem when the provider has not said so
   */
  Optional<String> signedOut(String logoutToken) {
    Provider now = present();
    return asking(
        () -> {
          Known provider = known(now);
          LogoutTokenValidator validator =
              new LogoutTokenValidator(
                  provider.metadata().getIssuer(),
                  new ClientID(now.clientId()),
                  provider.signing(),
                  null);
          return Optional.ofNullable(validator.validate(JWTParser.parse(logoutToken)).getSubject())
              .map(subject -> subject.getValue());
        });
  }
}
