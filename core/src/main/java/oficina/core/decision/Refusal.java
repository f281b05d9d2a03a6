package oficina.core.decision;

import java.util.Map;
import java.util.function.Function;
import oficina.core.numbers.Dialled;
import oficina.core.people.PersonId;
import org.jspecify.annotations.Nullable;

/**
 * Why the exchange does not do what it was asked; nothing has changed.
 *
 * @param about what the reason speaks of; null when it says it all. Each reason says which it is
 */
public record Refusal(Reason reason, @Nullable About about) implements Decision {

  /** What a reason speaks of. */
  public sealed interface About {
    /** It by the name sentences have for it, and in words for whoever reads them. */
    Map<String, String> words(Function<PersonId, String> name);
  }

  /** Somebody of the office. */
  public record Who(PersonId person) implements About {
    @Override
    public Map<String, String> words(Function<PersonId, String> name) {
      return Map.of("person", name.apply(person));
    }
  }

  /** A park slot. */
  public record Slot(String slot) implements About {
    @Override
    public Map<String, String> words(Function<PersonId, String> name) {
      return Map.of("slot", slot);
    }
  }

  /** So many there can be at most. */
  public record Limit(int limit) implements About {
    @Override
    public Map<String, String> words(Function<PersonId, String> name) {
      return Map.of("limit", Integer.toString(limit));
    }
  }

  /** A text that was to be dialled, and what is wrong with it. */
  public record Text(Dialled.Why why, String text) implements About {
    @Override
    public Map<String, String> words(Function<PersonId, String> name) {
      return Map.of("why", why.name(), "text", text);
    }
  }

  /** Reasons, each with a sentence in the catalogue of words. */
  public enum Reason {
    /** The call has ended, or the person has no part in it. */
    NO_SUCH_CALL,
    /** Somebody else answered first; {@link Who}. */
    ANSWERED_BY_OTHER,
    /** The person themselves answered on another of their devices. */
    ANSWERED_HERE,
    /** The call does not ring, so it cannot be answered, declined or silenced. */
    NOT_RINGING,
    NOT_ACTIVE,
    NOT_HELD,
    /** Nobody has answered yet. */
    NOT_ANSWERED,
    /** One's own extension or number. */
    OWN_NUMBER,
    /** A call placed before has not been answered yet. */
    ALREADY_CALLING,
    /** As many calls in hand as are allowed; {@link Limit}. */
    TOO_MANY_CALLS,
    /** Not a telephone number; {@link Text}. */
    NOT_CALLABLE,
    /** The office does not want that number called. */
    NUMBER_BARRED,
    /** Not keys of a telephone. */
    NOT_DIGITS,
    /** Only an outside party listens to digits. */
    NO_DIGITS_INSIDE,
    /** The identity of a call that exists already was given for a new one. */
    CALL_EXISTS,
    UNKNOWN_PERSON,
    /** Somebody else was named who is not of the office. */
    NO_SUCH_PERSON,
    /** The person has sent this call on already, and it rings there. */
    ALREADY_SENT,
    /** The person has parked this call already; {@link Slot}. */
    ALREADY_PARKED,
    /** Whoever the person sent this call to, outside, has answered. */
    ANSWERED_THERE,
    /** The parked call waits for somebody else; {@link Who}. Can be asked for all the same. */
    MEANT_FOR_OTHER,
    /** The target is the very party of the call. */
    SAME_PARTY,
    /** The target has no device that would ring. */
    TARGET_NOT_SIGNED_IN,
    /** The time that was named is over already. */
    TIME_IS_PAST,
    /** The time that was named is more than a year away. */
    TIME_TOO_FAR,
    /** There is no such line, or it is not one's own to decide about. */
    NO_SUCH_LINE,
    /** One is not writing anything down after a call. */
    NOT_FINISHING,
    /** So long after a call nobody writes anything down; {@link Limit}. */
    FINISHING_TOO_LONG,
    /** The caller waits no longer. */
    WAITS_NO_LONGER,
    /** One does not belong to the line, or it has no number. */
    NOT_YOUR_LINE,
    /** One does not act for the colleague in whose name one wants to call; {@link Who}. */
    NOT_A_DELEGATE,
    /** Only a call that rings, or one of two that is held, can be taken over. */
    NOT_TO_TAKE_OVER,
    /** The target takes no further call now. */
    TARGET_BUSY,
    TARGET_DO_NOT_DISTURB,
    TARGET_OFF_DUTY,
    TARGET_CLOSED,
    /** Whoever it is has decided that such calls go nowhere. */
    TARGET_DECLINES,
    /** Nobody has the target's number. */
    TARGET_NOT_IN_USE,
    /** All outside lines are taken. */
    LINES_BUSY,
    /** Nobody else can be sent to the emergency services. */
    NOT_CALLABLE_FOR_OTHERS,
    /** It has been sent on as often as is allowed without anybody answering; {@link Limit}. */
    SENT_TOO_OFTEN,
    /** Calls may be taken only from one's own team and groups; {@link Who}. */
    NOT_IN_PICK_UP_GROUP,
    /** The call is not on its way to anybody. */
    NOT_SENT_ON,
    /** Sending on and parking are possible with two parties only. */
    MORE_THAN_TWO,
    /** The two calls are one, or the other one is not in hand. */
    NO_OTHER_CALL,
    /** The announcement has failed: nobody is there to hand over to. */
    NOBODY_THERE,
    /** No call rings there. */
    NOTHING_RINGS,
    /** As many parties as a conference can have; {@link Limit}. */
    CONFERENCE_FULL,
    /** Only its starter orders a conference. */
    NOT_STARTER,
    /** No such member in the conference. */
    NO_SUCH_MEMBER,
    /** There is no park slot of that number; {@link Slot}. */
    NO_SUCH_SLOT,
    /** Another call waits in that slot; {@link Slot}. */
    SLOT_TAKEN,
    /** Calls wait in all slots. */
    SLOTS_FULL,
    /** No call waits in that slot; {@link Slot}. */
    SLOT_EMPTY,
    /** A slot is for calls that somebody has answered. */
    NOT_TO_A_SLOT,
    /** No message can be left there. */
    NO_MAILBOX,
    /** Nobody answers in a mailbox to whom somebody could be announced. */
    NOT_TO_A_MAILBOX,
    /** The office, or the person themselves, wants none of their calls recorded. */
    RECORDING_NOT_ALLOWED,
    /** The office does not record calls to the emergency services. */
    EMERGENCY_NOT_RECORDED,
    /** Somebody in the call does not want to be recorded. */
    RECORDING_REFUSED,
    /** The conference is recorded already; {@link Who}. */
    RECORDED_BY_OTHER,
    /** The call is not recorded for this person. */
    NOT_RECORDED,
    /** The device is not there, or it is somebody else's. */
    NO_SUCH_DEVICE,
    /** Somebody is on a call at the device; {@link Who}. */
    DEVICE_IN_USE,
    /** The person has named no telephone outside that could be used. */
    NO_OUTSIDE_PHONE,
    /** All outside lines are taken, so that the telephone outside cannot be rung. */
    NO_LINE_TO_PHONE,
    /** The telephone outside is being rung already for something else. */
    PHONE_RINGS,
    /** The telephone outside is in no call, and can only place calls or be given one. */
    PHONE_NOT_THERE,
    /** Only colleagues can be waited for. */
    CALL_BACK_INSIDE_ONLY,
    /** The call has not failed, so there is nothing to wait for. */
    NOT_FAILED,
    /** That colleague is waited for already. */
    CALL_BACK_EXISTS,
    /** There is no such wish, or it is somebody else's. */
    NO_SUCH_CALL_BACK
  }

  /** A reason that says it all. */
  public static Refusal of(Reason reason) {
    return new Refusal(reason, null);
  }

  /** A reason that speaks of somebody. */
  public static Refusal of(Reason reason, PersonId person) {
    return new Refusal(reason, new Who(person));
  }

  /** A reason that speaks of a slot. */
  public static Refusal ofSlot(Reason reason, String slot) {
    return new Refusal(reason, new Slot(slot));
  }

  /** A reason that speaks of how many there can be. */
  public static Refusal of(Reason reason, int limit) {
    return new Refusal(reason, new Limit(limit));
  }

  /** This colleague was quicker. */
  public static Refusal answeredBy(PersonId person) {
    return of(Reason.ANSWERED_BY_OTHER, person);
  }

  /** This text cannot be called. */
  public static Refusal notCallable(Dialled.NotCallable no) {
    return new Refusal(Reason.NOT_CALLABLE, new Text(no.why(), no.text()));
  }

  /** The name of its sentence: the reason, and of a text also what is wrong with it. */
  public String code() {
    return about instanceof Text text ? reason.name() + "_" + text.why() : reason.name();
  }

  /** What its sentence speaks of, by name, in words. */
  public Map<String, String> words(Function<PersonId, String> name) {
    return about == null ? Map.of() : about.words(name);
  }
}
