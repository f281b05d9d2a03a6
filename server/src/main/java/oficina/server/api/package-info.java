/**
 * The description of the HTTP API and the addresses of the pages. Begin with {@link
 * oficina.server.api.ApiDescription}. The pages&#39; types are generated from it.
 */
@NullMarked
package oficina.server.api;

import org.jspecify.annotations.NullMarked;
