/**
 * What is remembered of calls: the course, each employee&#39;s part, who is to be called back.
 * Begin with {@link oficina.core.history.CallRecords}. Derived from events alone: one entry for
 * each employee who had a part, one course for each call.
 */
@NullMarked
package oficina.core.history;

import org.jspecify.annotations.NullMarked;
