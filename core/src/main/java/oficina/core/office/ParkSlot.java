package oficina.core.office;

/**
 * A place where a call can wait for anybody in the office to take it.
 *
 * @param number digits that take the call when dialled; no extension has them
 * @param label what the office calls the place; empty when it has no name
 */
public record ParkSlot(String number, String label) {}
