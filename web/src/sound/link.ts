import { Problem } from '../api/client';
import { Again } from '../live/again';

/** What a page offers is answered by this. */
export type Exchange = (sdp: string) => Promise<{ sdp: string }>;

/** In a call something comes each 20 ms. */
const LOOK_MS = 500;
const LONGEST_SILENCE_MS = 1_500;
/** A connection that takes longer does not come about any more. */
const LONGEST_CONNECTING_MS = 5_000;

/**
 * One WebRTC connection to the server, kept for as long as it is wanted and made anew whenever it is
 * lost. Nothing is negotiated in a call: the microphone is put into it and taken out again.
 */
export class SoundLink {
  private readonly out = new Audio();
  private pc: RTCPeerConnection | undefined;
  private sender: RTCRtpSender | undefined;
  private receiver: RTCRtpReceiver | undefined;
  private track: MediaStreamTrack | null = null;
  private readonly again = new Again(() => this.attempt());
  private look: ReturnType<typeof setInterval> | undefined;
  private ended = false;
  private inCall = false;

  constructor(
    private readonly exchange: Exchange,
    private readonly onChange: (live: boolean) => void,
  ) {
    this.out.dataset['softphone'] = '';
    document.body.append(this.out);
  }

  /** Connects, or connects anew: what was there before is of no use any more. */
  connect = async () => {
    this.drop();
    const pc = new RTCPeerConnection({ bundlePolicy: 'max-bundle' });
    this.pc = pc;
    const { sender, receiver } = pc.addTransceiver('audio', { direction: 'sendrecv' });
    this.sender = sender;
    this.receiver = receiver;
    this.out.srcObject = new MediaStream([receiver.track]);
    this.play();
    pc.onconnectionstatechange = () => this.changed(pc);
    try {
      await pc.setLocalDescription();
      const answer = await this.exchange(pc.localDescription?.sdp ?? '');
      if (this.pc !== pc) {
        return;
      }
      await pc.setRemoteDescription({ type: 'answer', sdp: answer.sdp });
      await sender.replaceTrack(this.track);
      this.again.in(LONGEST_CONNECTING_MS);
      if (sender.transport) {
        const { transport } = sender;
        transport.onstatechange = () => transport.state === 'closed' && this.lost(pc);
      }
    } catch (error) {
      // A server that is away, or has not heard of this window yet; whoever is signed out asks no more.
      if (!(error instanceof Problem && error.status === 401)) {
        this.lost(pc);
      }
    }
  };

  /** Whoever has waited long enough for a connection begins anew. */
  private attempt() {
    if (this.pc) {
      this.lost(this.pc);
    } else {
      void this.connect();
    }
  }

  private changed(pc: RTCPeerConnection) {
    if (this.pc === pc && pc.connectionState === 'connected') {
      this.again.done();
      this.onChange(true);
    } else if (['failed', 'disconnected', 'closed'].includes(pc.connectionState)) {
      this.lost(pc);
    }
  }

  private lost(pc: RTCPeerConnection) {
    if (this.pc !== pc || this.ended) {
      return;
    }
    this.drop();
    this.onChange(false);
    this.again.later();
  }

  private drop() {
    this.again.stop();
    const old = this.pc;
    this.pc = undefined;
    old?.close();
  }

  /** What is spoken; null for nothing. */
  speak(track: MediaStreamTrack | null) {
    this.track = track;
    this.sender?.replaceTrack(track).catch(() => undefined);
  }

  /** As long as a call is in hand, sound that stops coming is a lost connection. */
  watch(inCall: boolean) {
    clearInterval(this.look);
    this.inCall = inCall;
    this.play();
    if (!inCall) {
      return;
    }
    let last = Date.now();
    this.look = setInterval(() => {
      const { pc, receiver } = this;
      if (!pc || !receiver || pc.connectionState !== 'connected') {
        last = Date.now();
        return;
      }
      const [source] = receiver.getSynchronizationSources();
      last = Math.max(last, source?.timestamp ?? 0);
      if (Date.now() - last > LONGEST_SILENCE_MS) {
        this.lost(pc);
      }
    }, LOOK_MS);
  }

  /** What is heard, for measuring. */
  heard(): MediaStream | null {
    return this.out.srcObject as MediaStream | null;
  }

  volume(share: number) {
    this.out.volume = share;
  }

  /** Where it is heard; the machine's own choice when empty. */
  through(speaker: string) {
    if ('setSinkId' in this.out) {
      this.out.setSinkId(speaker).catch(() => this.out.setSinkId('').catch(() => undefined));
    }
  }

  /** Plays what is heard in a call. A browser may want somebody to touch the page first. */
  play() {
    if (this.inCall) {
      this.out.play().catch(() => undefined);
    } else {
      this.out.pause();
    }
  }

  end() {
    this.ended = true;
    clearInterval(this.look);
    this.drop();
    this.out.remove();
  }
}
