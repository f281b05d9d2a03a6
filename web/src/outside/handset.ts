import { useEffect, useRef, useState } from 'react';
import { post } from '../api/client';
import type { HandsetAnswer } from '../api/types';
import { SoundLink } from '../sound/link';
import { openMicrophone, stop, whyNot } from '../sound/microphone';
import { useSoundSettings } from '../sound/settings';
import type { Microphone } from '../sound/store';

/** How it stands with the sound of a subscriber I play. */
export interface Handset {
  live: boolean;
  microphone: Microphone;
}

/** Speaks and hears for a subscriber I play: connected as long as they are shown, heard while they talk. */
export function useHandset(number: string, talking: boolean): Handset {
  const [live, setLive] = useState(false);
  const [microphone, setMicrophone] = useState<Microphone>('closed');
  const link = useRef<SoundLink>(null);

  useEffect(() => {
    const mine = new SoundLink(
      (sdp) => post<HandsetAnswer>(`/api/outside/subscribers/${number}/handset`, { sdp }),
      setLive,
    );
    link.current = mine;
    const { speaker, volume } = useSoundSettings.getState();
    mine.through(speaker);
    mine.volume(volume);
    void mine.connect();
    return () => mine.end();
  }, [number]);

  useEffect(() => {
    const mine = link.current;
    if (!talking || !mine) {
      return undefined;
    }
    let stream: MediaStream | undefined;
    let over = false;
    mine.watch(true);
    openMicrophone(useSoundSettings.getState().microphone).then(
      (opened) => {
        stream = opened;
        if (over) {
          stop(opened);
          return;
        }
        mine.speak(opened.getAudioTracks()[0] ?? null);
        setMicrophone('open');
      },
      (error: unknown) => setMicrophone(whyNot(error)),
    );
    return () => {
      over = true;
      mine.watch(false);
      mine.speak(null);
      setMicrophone('closed');
      if (stream) {
        stop(stream);
      }
    };
  }, [talking, number]);

  return { live, microphone };
}
