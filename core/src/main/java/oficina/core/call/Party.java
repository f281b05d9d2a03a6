package oficina.core.call;

import oficina.core.numbers.PhoneNumber;
import oficina.core.people.GroupId;
import oficina.core.people.PersonId;
import org.jspecify.annotations.Nullable;

/** Who is at one end of a call, or who was called. */
public sealed interface Party {

  /** What is to be done for each kind of party; a forgotten kind does not compile. */
  interface Cases<R> {
    R of(Employee party);

    R of(Outside party);

    R of(Members party);

    R of(Emergency party);

    R of(Slot party);

    R of(Nobody party);

    R of(Mailbox party);

    R of(Attendant party);

    R of(Welcome party);

    R of(Queue party);
  }

  <R> R accept(Cases<R> cases);

  /** An employee of the office, on any of their devices. */
  record Employee(PersonId id) implements Party {
    @Override
    public PersonId employee() {
      return id;
    }

    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /**
   * Somebody on the public network.
   *
   * @param number null when they withheld it
   */
  record Outside(@Nullable PhoneNumber number) implements Party {
    @Override
    public @Nullable PhoneNumber outsideNumber() {
      return number;
    }

    @Override
    public boolean isSurely(Party other) {
      return number != null && equals(other);
    }

    @Override
    public boolean usesOutsideLine() {
      return true;
    }

    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** A group, as long as none of its members has answered. */
  record Members(GroupId id) implements Party {
    @Override
    public GroupId group() {
      return id;
    }

    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** The emergency services. */
  record Emergency(String digits) implements Party {
    @Override
    public boolean usesOutsideLine() {
      return true;
    }

    @Override
    public boolean alwaysGoesOut() {
      return true;
    }

    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** A park slot, which is dialled to take the call that waits there. */
  record Slot(String number) implements Party {
    @Override
    public String slot() {
      return number;
    }

    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** An internal number that belongs to nobody. */
  record Nobody(String dialled) implements Party {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** A voice of the office that answers without being a person. */
  sealed interface Machine extends Party {
    @Override
    default Machine machine() {
      return this;
    }

    /** Whether it stands in until somebody answers: nobody has answered with it. */
    @Override
    boolean standsIn();

    /** Whether keys pressed by the others order this end, and are nobody else's to know. */
    @Override
    boolean takesKeys();

    /** Whether a call may be recorded while it is there: not where secret numbers are told. */
    default boolean mayBeRecorded() {
      return !takesKeys();
    }
  }

  /**
   * A mailbox, which answers in the place of a person or a group and takes a message.
   *
   * @param owner an employee, or the members of a group
   */
  record Mailbox(Party owner) implements Machine {
    @Override
    public Party mailboxOf() {
      return owner;
    }

    @Override
    public boolean standsIn() {
      return true;
    }

    @Override
    public boolean takesKeys() {
      return false;
    }

    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /**
   * The voice that reads out the messages of a mailbox to whoever calls for them and orders it by
   * keys.
   *
   * @param caller the employee at whose telephone it was called; null for whoever has to say it
   */
  record Attendant(@Nullable PersonId caller) implements Machine {
    @Override
    public boolean standsIn() {
      return false;
    }

    @Override
    public boolean takesKeys() {
      return true;
    }

    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /**
   * The voice that welcomes whoever calls a line, before it rings, and connects them with the
   * extension they dial.
   */
  record Welcome(GroupId line) implements Machine {
    @Override
    public GroupId welcomesTo() {
      return line;
    }

    @Override
    public boolean standsIn() {
      return true;
    }

    @Override
    public boolean takesKeys() {
      return true;
    }

    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** The voice that plays music to whoever waits at a line until somebody is free. */
  record Queue(GroupId line) implements Machine {
    @Override
    public GroupId waitsAt() {
      return line;
    }

    @Override
    public boolean standsIn() {
      return true;
    }

    @Override
    public boolean takesKeys() {
      return true;
    }

    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** The employee at this end, or null when it is not one. */
  default @Nullable PersonId employee() {
    return null;
  }

  /** The group that was called, or null when it is none. */
  default @Nullable GroupId group() {
    return null;
  }

  /** The public number at this end, or null when it is withheld or there is none. */
  default @Nullable PhoneNumber outsideNumber() {
    return null;
  }

  /** The park slot that was dialled, or null when it is none. */
  default @Nullable String slot() {
    return null;
  }

  /** Whose mailbox it is, or null when it is none. */
  default @Nullable Party mailboxOf() {
    return null;
  }

  /** The line to which this end welcomes callers, or null when it does not. */
  default @Nullable GroupId welcomesTo() {
    return null;
  }

  /** The line at which this end keeps callers, or null when it does not. */
  default @Nullable GroupId waitsAt() {
    return null;
  }

  /** The voice of the office at this end, or null when it is none. */
  default @Nullable Machine machine() {
    return null;
  }

  /** Whether it is a machine that stands in until somebody answers. */
  default boolean standsIn() {
    return false;
  }

  /** Whether it is a machine that keys order. */
  default boolean takesKeys() {
    return false;
  }

  /** Whether both are known to be the same. Two who withhold their numbers are not. */
  default boolean isSurely(Party other) {
    return equals(other);
  }

  /** Whether this end occupies one of the office's outside lines. */
  default boolean usesOutsideLine() {
    return false;
  }

  /** Whether a call to this party goes out whatever the limits are. */
  default boolean alwaysGoesOut() {
    return false;
  }
}
