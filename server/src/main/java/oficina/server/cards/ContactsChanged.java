package oficina.server.cards;

import oficina.server.contacts.Contacts;
import oficina.server.exchange.ExchangeLoop;
import oficina.server.push.Pushes;
import org.springframework.stereotype.Component;

/** Shows everywhere who is who as soon as a contact has changed. */
@Component
class ContactsChanged {
  ContactsChanged(Contacts contacts, ExchangeLoop loop, Pushes pushes) {
    contacts.onChange(
        owner -> {
          loop.redraw();
          pushes.contactsChanged(owner);
        });
  }
}
