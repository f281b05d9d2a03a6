import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { useSoundSettings } from '../sound/settings';

export const SPEEDS = [0.75, 1, 1.25, 1.5, 2] as const;

export interface Player {
  playing: boolean;
  /** Milliseconds from the beginning. */
  at: number;
  speed: number;
  toggle: () => void;
  seek: (ms: number) => void;
  faster: (step: number) => void;
}

/**
 * Plays sound from the server, which sends only the part that is wanted.
 *
 * @param source its address
 * @param onPlay when it begins to be played
 */
export function usePlayer(source: string, onPlay: () => void): Player {
  const audio = useRef<HTMLAudioElement | null>(null);
  const speaker = useSoundSettings((settings) => settings.speaker);
  const [playing, setPlaying] = useState(false);
  const [at, setAt] = useState(0);
  const [speed, setSpeed] = useState(1);
  const played = useRef(onPlay);
  useEffect(() => {
    played.current = onPlay;
  });

  useEffect(() => {
    const sound = new Audio();
    sound.preload = 'none';
    sound.src = source;
    sound.dataset['player'] = source;
    document.body.append(sound);
    audio.current = sound;
    let frame = 0;
    const follow = () => {
      setAt(sound.currentTime * 1000);
      frame = requestAnimationFrame(follow);
    };
    sound.onplay = () => {
      setPlaying(true);
      played.current();
      frame = requestAnimationFrame(follow);
    };
    sound.onpause = () => {
      setPlaying(false);
      cancelAnimationFrame(frame);
    };
    sound.onseeked = () => setAt(sound.currentTime * 1000);
    return () => {
      cancelAnimationFrame(frame);
      sound.onpause = null;
      sound.pause();
      sound.remove();
      audio.current = null;
    };
  }, [source]);

  useEffect(() => {
    if (audio.current && 'setSinkId' in audio.current) {
      audio.current.setSinkId(speaker).catch(() => undefined);
    }
  }, [source, speaker]);

  useEffect(() => {
    if (audio.current) {
      audio.current.playbackRate = speed;
      audio.current.defaultPlaybackRate = speed;
    }
  }, [source, speed]);

  const toggle = useCallback(() => {
    const sound = audio.current;
    if (sound?.paused) {
      sound.play().catch(() => undefined);
    } else {
      sound?.pause();
    }
  }, []);
  const seek = useCallback((ms: number) => {
    if (audio.current) {
      audio.current.currentTime = Math.max(0, ms / 1000);
      setAt(Math.max(0, ms));
    }
  }, []);
  const faster = useCallback(
    (step: number) =>
      setSpeed((now) => {
        const place = SPEEDS.indexOf(now as (typeof SPEEDS)[number]) + step;
        return SPEEDS[Math.max(0, Math.min(SPEEDS.length - 1, place))] ?? 1;
      }),
    [],
  );
  return useMemo(
    () => ({ playing, at, speed, toggle, seek, faster }),
    [playing, at, speed, toggle, seek, faster],
  );
}
