package oficina.core.state;

import java.time.Instant;
import oficina.core.call.CallerId;
import oficina.core.call.DeviceId;
import oficina.core.call.Party;
import oficina.core.people.PersonId;
import org.jspecify.annotations.Nullable;

/**
 * One party's connection to a call (ECMA-269).
 *
 * @param leg number of the connection within its call, never used twice
 * @param device the device that placed or answered it; null while it rings and for outsiders
 * @param phase what it is in now
 * @param arrival how it came to this party
 * @param marks what the party has made of it
 */
public record Connection(
    int leg, Party party, @Nullable DeviceId device, Phase phase, Arrival arrival, Marks marks) {

  /**
   * What a connection is in.
   *
   * @param since when it began
   * @param due when ringing gives up or a reminder is wanted; null when nothing is pending
   */
  public record Phase(ConnectionState state, Instant since, @Nullable Instant due) {}

  /**
   * How a call came to somebody.
   *
   * @param line the line on which it rings or was answered; null for the calling side
   * @param sentBy the employee who sent the call here; null when nobody did
   * @param shown what an outsider is shown of it; null when that is the caller ID of the call
   * @param forwardedFrom for whom it was before their rules sent it here; null when none did
   */
  public record Arrival(
      @Nullable Party line,
      @Nullable PersonId sentBy,
      @Nullable CallerId shown,
      @Nullable Party forwardedFrom) {
    static final Arrival NONE = new Arrival(null, null, null, null);
  }

  /**
   * @param silenced whether its ringing has been silenced
   * @param muted whether this party is heard by nobody
   * @param reminded whether the party has been reminded that it holds somebody
   * @param lost that nobody is at this end; null while somebody is
   * @param taking how far a mailbox at this end is with taking a message
   * @param tape whether this party's part in the call is recorded for them
   */
  public record Marks(
      boolean silenced,
      boolean muted,
      boolean reminded,
      @Nullable Lost lost,
      Taking taking,
      Tape tape) {
    static final Marks NONE = new Marks(false, false, false, null, Taking.NOTHING, Tape.NONE);
  }

  /**
   * That nobody is at an end.
   *
   * @param since when the last device there went
   * @param until when the connection is given up
   */
  public record Lost(Instant since, Instant until) {}

  /** How far a mailbox is with taking a message. */
  public enum Taking {
    /** No mailbox is at this end. */
    NOTHING,
    /** It plays its greeting. */
    GREETING,
    /** It records, and nothing has been said yet that would be kept. */
    RECORDING,
    /** It records a message that will be kept. */
    MESSAGE
  }

  /** A mailbox that begins with its greeting. */
  static Connection ofMailbox(int leg, Party.Mailbox mailbox, Instant at, Instant until) {
    Phase greeting = new Phase(ConnectionState.CONNECTED, at, until);
    Marks marks = new Marks(false, false, false, null, Taking.GREETING, Tape.NONE);
    return new Connection(leg, mailbox, null, greeting, Arrival.NONE, marks);
  }

  static Connection begun(int leg, Party party, @Nullable DeviceId device, Phase phase) {
    return new Connection(leg, party, device, phase, Arrival.NONE, Marks.NONE);
  }

  Connection forwardedFrom(@Nullable Party wanted) {
    Arrival now = new Arrival(line(), sentBy(), shown(), wanted);
    return new Connection(leg, party, device, phase, now, marks);
  }

  public ConnectionState state() {
    return phase.state();
  }

  public Instant since() {
    return phase.since();
  }

  public @Nullable Instant due() {
    return phase.due();
  }

  public @Nullable Party line() {
    return arrival.line();
  }

  public @Nullable PersonId sentBy() {
    return arrival.sentBy();
  }

  /** For whom it was before their rules sent it here; null when none did. */
  public @Nullable Party forwardedFrom() {
    return arrival.forwardedFrom();
  }

  /** What an outsider at this end is shown; null when that is the caller ID of the call. */
  public @Nullable CallerId shown() {
    return arrival.shown();
  }

  public boolean silenced() {
    return marks.silenced();
  }

  public boolean muted() {
    return marks.muted();
  }

  public boolean reminded() {
    return marks.reminded();
  }

  /** That nobody is at this end; null while somebody is. */
  public @Nullable Lost lost() {
    return marks.lost();
  }

  public Taking taking() {
    return marks.taking();
  }

  public Tape tape() {
    return marks.tape();
  }

  /** Whether a mailbox is at this end and records. */
  public boolean records() {
    return taking() == Taking.RECORDING || taking() == Taking.MESSAGE;
  }

  /** Whether somebody is at this end to speak and hear. */
  public boolean attended() {
    return lost() == null;
  }

  /** When something of it is due: a ringing gives up, a reminder is wanted, it is given up. */
  public @Nullable Instant nextDue() {
    Instant givenUp = lost() == null ? null : lost().until();
    return due() == null || (givenUp != null && givenUp.isBefore(due())) ? givenUp : due();
  }

  Connection unattended(@Nullable Lost lost) {
    return with(new Marks(silenced(), muted(), reminded(), lost, taking(), tape()));
  }

  Connection on(@Nullable Party line, @Nullable PersonId sender) {
    return new Connection(
        leg, party, device, phase, new Arrival(line, sender, shown(), forwardedFrom()), marks);
  }

  Connection showing(@Nullable CallerId callerId) {
    Arrival shown = new Arrival(line(), sentBy(), callerId, forwardedFrom());
    return new Connection(leg, party, device, phase, shown, marks);
  }

  Connection to(ConnectionState next, Instant at, @Nullable Instant due) {
    Marks kept = new Marks(false, muted(), false, lost(), taking(), tape());
    return new Connection(leg, party, device, new Phase(next, at, due), arrival, kept);
  }

  Connection establishedOn(@Nullable DeviceId by, Instant at) {
    Phase connected = new Phase(ConnectionState.CONNECTED, at, null);
    return new Connection(leg, party, by, connected, arrival, Marks.NONE);
  }

  Connection dueAt(@Nullable Instant due) {
    Phase then = new Phase(state(), since(), due);
    return new Connection(leg, party, device, then, arrival, marks);
  }

  Connection quiet() {
    return with(new Marks(true, muted(), reminded(), lost(), taking(), tape()));
  }

  Connection muted(boolean on) {
    return with(new Marks(silenced(), on, reminded(), lost(), taking(), tape()));
  }

  Connection afterReminder() {
    Phase undisturbed = new Phase(state(), since(), null);
    Marks reminded = new Marks(silenced(), muted(), true, lost(), taking(), tape());
    return new Connection(leg, party, device, undisturbed, arrival, reminded);
  }

  Connection recording(Instant at, Instant until) {
    Phase recording = new Phase(state(), at, until);
    Marks marks = new Marks(silenced(), muted(), reminded(), lost(), Taking.RECORDING, tape());
    return new Connection(leg, party, device, recording, arrival, marks);
  }

  Connection taking(Taking now) {
    return with(new Marks(silenced(), muted(), reminded(), lost(), now, tape()));
  }

  Connection taped(Tape now) {
    return with(new Marks(silenced(), muted(), reminded(), lost(), taking(), now));
  }

  Connection movedTo(DeviceId other) {
    return new Connection(leg, party, other, phase, arrival, marks);
  }

  /** The same party in another call, in which it has been in its state since now. */
  Connection as(int otherLeg, Instant at) {
    Phase there = answered() ? new Phase(state(), at, due()) : phase;
    return new Connection(otherLeg, party, device, there, arrival, marks);
  }

  private Connection with(Marks now) {
    return new Connection(leg, party, device, phase, arrival, now);
  }

  /** Whether it rings here, or whoever answers is still asked for a key. */
  public boolean rings() {
    return state() == ConnectionState.ALERTING || state() == ConnectionState.ASKED;
  }

  /** Whether this party, who is no machine in somebody's place, has placed or answered the call. */
  public boolean answered() {
    boolean open = state() == ConnectionState.CONNECTED || state() == ConnectionState.HOLD;
    return open && !party.standsIn();
  }
}
