package oficina.core.voicemail;

/** Something that is said to whoever listens to their messages by telephone. */
public sealed interface Say {

  /** Something for each kind. */
  interface Cases<R> {
    R of(Words words);

    R of(Count count);

    R of(Head head);

    R of(Sound sound);
  }

  <R> R accept(Cases<R> cases);

  /** Sentences that are always the same. */
  enum Words implements Say {
    ENTER_EXTENSION,
    ENTER_PIN,
    WRONG_PIN,
    TOO_MANY_TRIES,
    CHOICES,
    /** When no message is at hand. */
    CHOICES_WITHOUT,
    NO_MORE,
    DELETED,
    CANNOT_CALL,
    SPEAK_GREETING,
    GREETING_KEPT,
    GOODBYE;

    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** How many messages there are. */
  record Count(int fresh, int all) implements Say {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** Who left a message, and when. */
  record Head(int message) implements Say {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** The message itself. */
  record Sound(int message) implements Say {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }
}
