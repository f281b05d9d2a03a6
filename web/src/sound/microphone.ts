import { measure } from './level';
import { type Microphone, soundStore } from './store';

/** Louder than this is somebody who speaks. */
const SPEECH = 0.45;
const MEASURE_MS = 100;
/** So many measures in a row. */
const SPEAKS = 4;
const STAYS_MS = 3_000;

const REASONS: Record<string, Microphone> = {
  NotAllowedError: 'refused',
  SecurityError: 'refused',
  NotFoundError: 'none',
  OverconstrainedError: 'none',
  NotReadableError: 'busy',
  AbortError: 'busy',
};

/**
 * The microphone of this computer, open only while a call needs it: the browser shows a sign as long as it
 * is. What is sent can be switched off, while it is still noticed that somebody speaks.
 */
export class MicrophoneLine {
  private stream: MediaStream | undefined;
  private sent: MediaStreamTrack | undefined;
  private stopMeasuring: (() => void) | undefined;
  private wanted = false;
  private muted = false;
  private turn = 0;

  constructor(
    private readonly device: () => string,
    private readonly send: (track: MediaStreamTrack | null) => void,
  ) {
    navigator.mediaDevices?.addEventListener('devicechange', () => {
      if (this.wanted && !this.sent) {
        void this.open(); // what was missing may be there now
      }
    });
  }

  /** Whether a call needs it. */
  need(wanted: boolean) {
    if (wanted !== this.wanted) {
      this.wanted = wanted;
      if (wanted) {
        void this.open();
      } else {
        this.close('closed');
      }
    }
  }

  /** Another one was chosen, or the same is to be tried again. */
  again() {
    if (this.wanted) {
      void this.open();
    }
  }

  mute(muted: boolean) {
    this.muted = muted;
    if (this.sent) {
      this.sent.enabled = !muted;
    }
  }

  private async open() {
    const mine = ++this.turn;
    this.close('opening');
    try {
      const stream = await openMicrophone(this.device());
      if (mine !== this.turn || !this.wanted) {
        stop(stream);
        return;
      }
      this.use(stream);
    } catch (error) {
      if (mine === this.turn) {
        soundStore.set({ microphone: whyNot(error) });
      }
    }
  }

  private use(stream: MediaStream) {
    const [track] = stream.getAudioTracks();
    if (!track) {
      soundStore.set({ microphone: 'none' });
      return;
    }
    this.stream = stream;
    this.sent = track.clone();
    this.sent.enabled = !this.muted;
    track.onended = () => {
      this.turn++;
      this.close('gone');
      void this.open().catch(() => undefined); // another one may be there
    };
    this.send(this.sent);
    soundStore.set({ microphone: 'open', microphoneName: track.label, mine: stream });
    this.stopMeasuring = this.noticeSpeakingMuted(stream);
  }

  private noticeSpeakingMuted(stream: MediaStream) {
    let loud = 0;
    let until = 0;
    let told = false;
    return measure(stream, MEASURE_MS, (level) => {
      loud = this.muted && level > SPEECH ? loud + 1 : 0;
      if (loud >= SPEAKS) {
        until = Date.now() + STAYS_MS;
      }
      const speakingMuted = this.muted && Date.now() < until;
      if (speakingMuted !== told) {
        told = speakingMuted;
        soundStore.set({ speakingMuted });
      }
    });
  }

  private close(microphone: Microphone) {
    this.stopMeasuring?.();
    this.stopMeasuring = undefined;
    this.send(null);
    this.sent?.stop();
    this.sent = undefined;
    if (this.stream) {
      stop(this.stream);
    }
    this.stream = undefined;
    soundStore.set({ microphone, mine: null, speakingMuted: false });
  }

  end() {
    this.wanted = false;
    this.turn++;
    this.close('closed');
  }
}

/** What is wrong when a microphone could not be opened. */
export function whyNot(error: unknown): Microphone {
  if (!navigator.mediaDevices) {
    return 'insecure';
  }
  return (error instanceof DOMException && REASONS[error.name]) || 'none';
}

/** Opens the microphone of this name, or the machine's own choice when it is not there any more. */
export async function openMicrophone(device: string): Promise<MediaStream> {
  const usual = { echoCancellation: true, noiseSuppression: true, autoGainControl: true };
  const audio = device ? { ...usual, deviceId: { exact: device } } : usual;
  try {
    return await navigator.mediaDevices.getUserMedia({ audio });
  } catch (error) {
    if (device && error instanceof DOMException && error.name === 'OverconstrainedError') {
      return navigator.mediaDevices.getUserMedia({ audio: usual });
    }
    throw error;
  }
}

export function stop(stream: MediaStream) {
  stream.getTracks().forEach((track) => {
    track.onended = null;
    track.stop();
  });
}
