package oficina.server.contacts;

import oficina.core.contacts.Contact.Card;

/**
 * A contact that is not known yet.
 *
 * @param uid what it is called by in files
 */
public record NewContact(String uid, Card card) {}
