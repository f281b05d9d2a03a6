package oficina.server.administration;

import oficina.core.office.Dependants;

/**
 * Somebody for whom something would be different.
 *
 * @param name of a colleague or a line
 */
record DependantView(Dependants.How how, String name) {}
