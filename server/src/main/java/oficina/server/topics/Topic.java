package oficina.server.topics;

/** What people can be told of, each alone when it changes, and what pages get with it. */
public enum Topic {
  /** The person's calls in hand, in the order in which they came. */
  CALLS,
  /** Colleagues they wait for. */
  CALL_BACKS,
  /** Who leaves a message in a mailbox of theirs right now. */
  LEAVING,
  /** Calls of colleagues that concern them by delegation. */
  OTHERS_CALLS,
  /** What goes on at those of their shared lines at which something does. */
  LINES,
  /** How it stands at the lines of theirs that keep callers. */
  QUEUES,
  /** All park slots. */
  SHELF,
  /** Board. */
  PEOPLE,
  /** The person has put colleagues into other groups of their own. */
  COLLEAGUES,
  /** Things to be told once. */
  NOTICES,
  /** Service. */
  SERVICE,
  /** The history has new or changed entries. */
  HISTORY,
  /** The list of calls to return has changed. */
  TO_RETURN,
  /** A message has come, or something has become of one. */
  VOICEMAIL,
  /** A recording has come, or something has become of one. */
  RECORDINGS,
  /** What is to be done by the person or their team has changed. */
  FOLLOW_UPS,
  /** The person has written something about a call of theirs, in this window or another. */
  NOTES,
  /** The person's speed dials have changed. */
  SPEED_DIALS,
  /** What has been decided about calls has changed: rules, lines, opening hours, blocks. */
  RULES,
  /** The person's devices have changed: which are there, whose they are, which are used. */
  DEVICES,
  /** Contacts have changed, and with them who is who everywhere. */
  CONTACTS,
  /** For administrators: something has to be done about the installation, or has been. */
  ALARMS,
  /** A subscriber this person plays has changed. */
  OUTSIDE,
  /** Who speaks now in each of the person's calls: Speaking. */
  SPEAKING
}
