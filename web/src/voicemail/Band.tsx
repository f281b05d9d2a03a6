import { useTranslation } from 'react-i18next';
import { clockTime } from '../words/time';
import type { Player } from './usePlayer';

interface Props {
  outline: number[];
  length: number;
  player: Player;
}

const HEIGHT = 56;
const STEP_MS = 5_000;

/** The sound of a message drawn as a band; where one points, it is played from. */
export function Band({ outline, length, player }: Props) {
  const { t } = useTranslation();
  const loudest = Math.max(1, ...outline);
  const share = Math.min(1, player.at / Math.max(1, length));
  return (
    <div className="relative h-14 flex-1">
      <svg
        viewBox={`0 0 ${outline.length} ${HEIGHT}`}
        preserveAspectRatio="none"
        className="h-full w-full"
        aria-hidden="true"
      >
        {outline.map((value, index) => {
          const height = Math.max(2, (value / loudest) * HEIGHT);
          return (
            <rect
              key={index}
              x={index + 0.15}
              width={0.7}
              y={(HEIGHT - height) / 2}
              height={height}
              className={index / outline.length < share ? 'fill-primary' : 'fill-primary/35'}
            />
          );
        })}
      </svg>
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
        aria-label={t('voicemail.place')}
        aria-valuetext={t('voicemail.at', { at: clockTime(player.at), length: clockTime(length) })}
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
