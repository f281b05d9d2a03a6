package oficina.server.handset;

import oficina.core.handset.Panel;

/**
 * A desk telephone, as the office sees it: something with a display, lamps and keys, that a SIP
 * telephone whose keys are reported (RFC 4730) could be. It has its sound by itself, see {@link
 * Handsets#hears}. Told from the exchange's thread; must neither wait nor fail.
 */
public interface Handset {

  /** What is to be seen and heard of it from now on. */
  void show(Panel panel);

  /** Another telephone with the same identity has taken its place: it is of no use any more. */
  void replaced();
}
