package oficina.server.office;

/** With which name somebody signs in, and as what, as the database has it. */
public record StoredAccount(String signInName, String role) {
  /** Of somebody who is no more. */
  public static final StoredAccount NONE = new StoredAccount("", "employee");
}
