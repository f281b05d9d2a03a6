package oficina.core.call;

/** How far the line to a telephone outside has come that is one of somebody's devices. */
public enum PhoneStage {
  /** The public network sets the line up. */
  SETTING_UP,
  /** It rings. */
  RINGING,
  /** Whoever answered is asked for a key: a mailbox answers too, and presses none. */
  ASKED,
  /** The key was pressed: its person is there. */
  THERE
}
