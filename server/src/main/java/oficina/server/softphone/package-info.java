/**
 * A browser's softphone: WebRTC with ICE-lite, DTLS-SRTP, Opus or G.711, all over one UDP port.
 * Begin with {@link oficina.server.softphone.SoftphoneController}, where a page's offer is
 * answered, and {@link oficina.server.softphone.SoundPort}, where its packets arrive. Nothing is
 * taken from anybody who has not proved to be the page that made the offer.
 */
@NullMarked
package oficina.server.softphone;

import org.jspecify.annotations.NullMarked;
