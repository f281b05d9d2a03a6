import { IconPlayerPause, IconPlayerPlay } from '@tabler/icons-react';
import { useMemo, type ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import { KeyCap } from '../ui/KeyCap';
import { useKeys } from '../ui/keys';
import { addWords } from '../words';
import { clockTime } from '../words/time';
import { Band } from './Band';
import { SPEEDS, type Player } from './usePlayer';
import words from './words.view.en.json';

addWords(words);

const STEP_MS = 5_000;

interface Props {
  player: Player;
  outlines: number[][];
  length: number;
  /** What else is drawn on the band. */
  children?: ReactNode;
}

/** What one plays sound with, by mouse and by keys. */
export function Controls({ player, outlines, length, children }: Props) {
  const { t } = useTranslation();
  useKeys(
    useMemo(
      () => [
        { key: ' ', run: player.toggle },
        { key: 'arrowleft', run: () => player.seek(player.at - STEP_MS) },
        { key: 'arrowright', run: () => player.seek(Math.min(length, player.at + STEP_MS)) },
        { key: '[', run: () => player.faster(-1) },
        { key: ']', run: () => player.faster(1) },
      ],
      [player, length],
    ),
  );
  return (
    <>
      <div className="mt-4 flex flex-wrap items-center gap-4">
        <button type="button" className="btn btn-primary" onClick={player.toggle}>
          {player.playing ? (
            <IconPlayerPause size={18} aria-hidden="true" />
          ) : (
            <IconPlayerPlay size={18} aria-hidden="true" />
          )}
          {t(player.playing ? 'player.pause' : 'player.play')} <KeyCap name={t('player.space')} />
        </button>
        <Band outlines={outlines} length={length} player={player}>
          {children}
        </Band>
        <p className="w-24 text-right">
          <strong>{clockTime(player.at)}</strong>{' '}
          <span className="quiet">{t('player.of', { length: clockTime(length) })}</span>
        </p>
      </div>
      <div className="mt-2 flex flex-wrap items-center gap-x-4 gap-y-1 text-sm">
        <span role="group" aria-label={t('player.speed')} className="flex items-center gap-1">
          {t('player.speed')}
          {SPEEDS.map((each) => (
            <button
              key={each}
              type="button"
              aria-pressed={player.speed === each}
              className={`rounded px-1 ${player.speed === each ? 'text-primary font-bold underline underline-offset-2' : 'quiet'}`}
              onClick={() =>
                player.faster(SPEEDS.indexOf(each) - SPEEDS.indexOf(player.speed as 1))
              }
            >
              {each}
            </button>
          ))}
          <KeyCap name="[ ]" />
        </span>
        <span className="quiet">
          {t('player.back')} <KeyCap name="←" />
        </span>
        <span className="quiet">
          {t('player.on')} <KeyCap name="→" />
        </span>
      </div>
    </>
  );
}
