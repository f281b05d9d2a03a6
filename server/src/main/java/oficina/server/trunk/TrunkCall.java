package oficina.server.trunk;

/** Names one call on an outside line, whatever the office makes of it. */
public record TrunkCall(String id) {}
