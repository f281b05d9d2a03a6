/**
 * Computing with sound: mixing, codecs without state of the machine, measuring. Begin with {@link
 * oficina.core.sound.Pcm}, what all of it speaks of, and {@link oficina.core.sound.Mixer}. Nothing
 * here waits, plays or records; whatever is called for every frame allocates nothing.
 */
@NullMarked
package oficina.core.sound;

import org.jspecify.annotations.NullMarked;
