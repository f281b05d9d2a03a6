/**
 * Files that come in and go out, whatever they are about. Begin with {@link
 * oficina.core.files.CsvReader}. A file is read in pieces, and however broken or large it is, no
 * more of it is kept at once than a line or a record may be long.
 */
@NullMarked
package oficina.core.files;

import org.jspecify.annotations.NullMarked;
