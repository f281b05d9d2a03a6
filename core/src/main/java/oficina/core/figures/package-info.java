/**
 * What became of everybody who waited at a line, counted from events: begin with {@link
 * oficina.core.figures.Waits}. How many people and lines are needed by what was: {@link
 * oficina.core.figures.Staffing}.
 */
@NullMarked
package oficina.core.figures;

import org.jspecify.annotations.NullMarked;
