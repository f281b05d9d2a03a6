/** What each person has chosen. Begin with {@link oficina.server.preferences.Preferences}. */
@NullMarked
package oficina.server.preferences;

import org.jspecify.annotations.NullMarked;
