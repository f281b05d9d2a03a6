/**
 * The sound engine: every 20 ms it takes in what is spoken at each end and gives each end what it
 * is to hear. Begin with {@link oficina.server.sound.SoundEngine}. It does what {@link
 * oficina.core.heard.Listening} says, as {@link oficina.server.sound.SoundFollower} tells it, waits
 * for nobody, and whatever fails at one end concerns that end alone.
 */
@NullMarked
package oficina.server.sound;

import org.jspecify.annotations.NullMarked;
