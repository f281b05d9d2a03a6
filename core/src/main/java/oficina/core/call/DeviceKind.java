package oficina.core.call;

/** What a device is. */
public enum DeviceKind {
  /** A window of the application in a browser. */
  WINDOW,
  /** A telephone on a desk. */
  TELEPHONE
}
