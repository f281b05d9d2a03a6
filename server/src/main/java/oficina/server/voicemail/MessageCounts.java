package oficina.server.voicemail;

import java.util.List;
import oficina.core.call.Owner;
import oficina.core.people.PersonId;
import oficina.server.office.OfficeData;
import org.springframework.stereotype.Component;

/** How many messages wait for somebody (the message-summary of RFC 3842). */
@Component
public class MessageCounts {
  private final MessageStore messages;
  private final OfficeData office;

  MessageCounts(MessageStore messages, OfficeData office) {
    this.messages = messages;
    this.office = office;
  }

  /** New ones, in their own mailbox and those of their lines. */
  public int fresh(PersonId person) {
    return messages.count(mailboxes(person));
  }

  /** Those that somebody has heard. */
  public int old(PersonId person) {
    return messages.countOld(mailboxes(person));
  }

  private List<String> mailboxes(PersonId person) {
    return Owner.keysFor(person, office.directory());
  }
}
