package oficina.server.exchange;

/** Where the exchange tells how desks look. */
public interface DeskFeed {

  /** Shows what has changed. */
  void publish(Batch batch);

  /** Says whether events wait for the database. */
  void behind(boolean waiting);

  boolean behind();
}
