package oficina.server.cards;

import oficina.server.contacts.Contacts;
import oficina.server.exchange.ExchangeLoop;
import oficina.server.topics.Topic;
import oficina.server.topics.Topics;
import org.springframework.stereotype.Component;

/** Shows everywhere who is who as soon as a contact has changed. */
@Component
class ContactsChanged {
  ContactsChanged(Contacts contacts, ExchangeLoop loop, Topics topics) {
    contacts.onChange(
        owner -> {
          loop.redraw();
          if (owner == null) {
            topics.tellAll(Topic.CONTACTS);
          } else {
            topics.tell(owner, Topic.CONTACTS);
          }
        });
  }
}
