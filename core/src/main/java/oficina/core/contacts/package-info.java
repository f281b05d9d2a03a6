/**
 * People outside the office whom one knows: who they are, by which numbers, and finding them while
 * somebody types or calls. Begin with {@link oficina.core.contacts.ContactBook}. What is somebody's
 * own is found by nobody else.
 */
@NullMarked
package oficina.core.contacts;

import org.jspecify.annotations.NullMarked;
