package oficina.core.figures;

/** Something that is kept of a line that keeps callers, from which its figures are made. */
public sealed interface Fact permits Wait, Served, Finished {}
