import { useQuery } from '@tanstack/react-query';
import { useTranslation } from 'react-i18next';
import { sentence } from '../api/client';
import type { RecordingOpened } from '../api/types';
import { aboutParty, nameOf } from '../calls/order';
import { Controls } from '../player/Controls';
import { Note } from '../player/Note';
import { type Player, usePlayer } from '../player/usePlayer';
import { clockTime, dayAndTime } from '../words/time';
import { Conversation } from './Conversation';
import { Log } from './Log';
import { Remarks } from './Remarks';
import { WhatOneDoes } from './WhatOneDoes';
import { noteOf, recording } from './recordings';

interface Props {
  id: number;
  /** It is to be deleted: nothing of it is asked for any more. */
  onGone: () => void;
}

/** A recording, opened: both sides as a band, what is in it, what was said, what one does with it. */
export function Opened({ id, onGone }: Props) {
  const { data, error } = useQuery(recording(id));
  if (error) {
    return (
      <p role="alert" className="text-error font-semibold">
        {sentence(error)}
      </p>
    );
  }
  return data ? <Whole opened={data} onGone={onGone} /> : null;
}

/** The server notes who listens: the page has nothing to report. */
const nothing = () => undefined;

interface WholeProps {
  opened: RecordingOpened;
  onGone: () => void;
}

function Whole({ opened, onGone }: WholeProps) {
  const { t } = useTranslation();
  const { id, other, line, began, from, until, length, note } = opened.recording;
  const player = usePlayer(`/api/recordings/${id}/sound`, nothing);
  const name = nameOf(other, t('party.withheld'));
  return (
    <article data-paper aria-label={t('recording.of', { name })}>
      <header className="flex flex-wrap items-baseline gap-x-3">
        <h2 className="text-xl font-bold break-words">{name}</h2>
        <span className="quiet">
          {[...aboutParty(other, t), line && t('party.onLine', { line })]
            .filter(Boolean)
            .join(' · ')}
        </span>
        <span className="quiet ml-auto">{dayAndTime(began)}</span>
      </header>
      <p className="quiet text-sm">
        {t('recording.owner', { name: opened.owner })} ·{' '}
        {from && until
          ? t('recording.from', { name: from, until: dayAndTime(until) })
          : t('recording.kept', { until: dayAndTime(opened.keptUntil) })}
      </p>
      <Controls player={player} outlines={[opened.ours, opened.theirs]} length={length}>
        {opened.marks.map((mark) => (
          <span
            key={`${mark.kind} ${mark.at}`}
            aria-hidden="true"
            className={`absolute inset-y-0 border-l-2 border-dashed ${mark.kind === 'DIGITS' ? 'border-accent' : 'border-secondary'}`}
            style={{ left: `${(mark.at / Math.max(1, length)) * 100}%` }}
          />
        ))}
      </Controls>
      <p className="quiet mt-1 text-sm">
        {t('recording.sides', { owner: opened.owner, other: name })}
      </p>
      <Marks marks={opened.marks} player={player} />
      <WhatOneDoes opened={opened} onGone={onGone} />
      <Remarks opened={opened} player={player} />
      <Conversation opened={opened} player={player} name={name} />
      {opened.mayHandOn && (
        <Note
          key={note}
          note={note}
          placeholder={t('recording.notePlaceholder')}
          save={(text) => noteOf(id, text)}
        />
      )}
      {opened.log.length > 0 && <Log entries={opened.log} />}
    </article>
  );
}

/** Where somebody was held, where it was stopped, and which keys were pressed. */
function Marks({ marks, player }: { marks: RecordingOpened['marks']; player: Player }) {
  const { t } = useTranslation();
  return (
    marks.length > 0 && (
      <ul aria-label={t('recording.marks')} className="mt-2 flex flex-wrap gap-2 text-sm">
        {marks.map((mark) => (
          <li key={`${mark.kind} ${mark.at}`}>
            <button
              type="button"
              className="btn btn-xs btn-plain"
              onClick={() => player.seek(mark.at)}
            >
              {clockTime(mark.at)}{' '}
              {t(`recording.${mark.kind}`, { time: clockTime(mark.lasted), digits: mark.digits })}
            </button>
          </li>
        ))}
      </ul>
    )
  );
}
