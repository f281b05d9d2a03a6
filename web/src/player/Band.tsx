import type { ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import { clockTime } from '../words/time';
import type { Player } from './usePlayer';

interface Props {
  /** One outline, or of two sides each its own: the first above the line, the second below it. */
  outlines: number[][];
  length: number;
  player: Player;
  /** What else is drawn at its place. */
  children?: ReactNode;
}

const HEIGHT = 56;
const STEP_MS = 5_000;

/** Sound drawn as a band; where one points, it is played from. */
export function Band({ outlines, length, player, children }: Props) {
  const { t } = useTranslation();
  const share = Math.min(1, player.at / Math.max(1, length));
  return (
    <div className="relative h-14 min-w-40 flex-1">
      <svg
        viewBox={`0 0 ${outlines[0]?.length ?? 1} ${HEIGHT}`}
        preserveAspectRatio="none"
        className="h-full w-full"
        aria-hidden="true"
      >
        {outlines.map((outline, side) => (
          <Bars key={side} outline={outline} side={outlines.length > 1 ? side : -1} share={share} />
        ))}
      </svg>
      {children}
      <span
        aria-hidden="true"
        className="bg-base-content absolute inset-y-0 w-0.5"
        style={{ left: `${share * 100}%` }}
      />
      <input
        type="range"
        min={0}
        max={length}
        step={100}
        value={Math.min(length, player.at)}
        aria-label={t('player.place')}
        aria-valuetext={t('player.at', { at: clockTime(player.at), length: clockTime(length) })}
        onChange={(event) => player.seek(Number(event.target.value))}
        onKeyDown={(event) => {
          const step = { ArrowLeft: -STEP_MS, ArrowRight: STEP_MS }[event.key];
          if (step) {
            event.preventDefault();
            player.seek(Math.min(length, player.at + step));
          }
        }}
        className="absolute inset-0 h-full w-full cursor-pointer opacity-0"
      />
    </div>
  );
}

/** One side: above the middle (0), below it (1), or on both sides of it (-1). */
function Bars({ outline, side, share }: { outline: number[]; side: number; share: number }) {
  const loudest = Math.max(1, ...outline);
  const room = side < 0 ? HEIGHT : HEIGHT / 2 - 1;
  const colour = side === 1 ? 'secondary' : 'primary';
  return outline.map((value, index) => {
    const height = Math.max(2, (value / loudest) * room);
    const middle = HEIGHT / 2;
    const y = side < 0 ? middle - height / 2 : side === 0 ? middle - 1 - height : middle + 1;
    const played = index / outline.length < share;
    return (
      <rect
        key={index}
        x={index + 0.15}
        width={0.7}
        y={y}
        height={height}
        className={
          colour === 'primary'
            ? played
              ? 'fill-primary'
              : 'fill-primary/35'
            : played
              ? 'fill-secondary'
              : 'fill-secondary/35'
        }
      />
    );
  });
}
