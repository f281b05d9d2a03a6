import { IconDownload, IconShare3, IconTrash } from '@tabler/icons-react';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import type { RecordingOpened } from '../api/types';
import { useNow } from '../live/now';
import { useSoundState } from '../sound/store';
import { dayAndTime } from '../words/time';
import { PrintKey } from '../ui/PrintKey';
import { HandOn } from './HandOn';
import { keepUntil, remove, takeBack } from './recordings';

const YEAR_MS = 365 * 86_400_000;
const YEARS = [1, 5, 10] as const;

interface Props {
  opened: RecordingOpened;
  /** It is to be deleted: nothing of it is asked for any more. */
  onGone: () => void;
}

/** Save it, hand it on, keep it for longer, delete it: what the office and its owner allow. */
export function WhatOneDoes({ opened, onGone }: Props) {
  const { t } = useTranslation();
  const { wideband } = useSoundState();
  const [handing, setHanding] = useState(false);
  const { id } = opened.recording;
  if (!opened.mayHandOn) {
    return null;
  }
  const save = (what: string, word: string) => (
    <a className="btn btn-sm btn-plain" href={`/api/recordings/${id}/${what}`} download>
      <IconDownload size={16} aria-hidden="true" />
      {t(`recording.${word}`)}
    </a>
  );
  return (
    <>
      <div className="mt-5 flex flex-wrap items-center gap-2">
        <button
          type="button"
          className="btn btn-plain"
          aria-expanded={handing}
          onClick={() => setHanding(!handing)}
        >
          <IconShare3 size={18} aria-hidden="true" />
          {t('recording.hand')}
        </button>
        {opened.mayRemove && (
          <button
            type="button"
            className="btn btn-plain"
            onClick={() => {
              onGone();
              void remove(id);
            }}
          >
            <IconTrash size={18} aria-hidden="true" />
            {t('recording.remove')}
          </button>
        )}
      </div>
      <div className="mt-2 flex flex-wrap items-center gap-2">
        {save('file', 'saveSound')}
        {wideband && save('opus', 'saveSmall')}
        {opened.said.length > 0 && save('text', 'saveText')}
        <PrintKey />
        {opened.mayKeep && <Keep opened={opened} />}
      </div>
      {handing && <HandOn id={id} onDone={() => setHanding(false)} />}
      {opened.shares.length > 0 && (
        <ul aria-label={t('recording.shares')} className="mt-2">
          {opened.shares.map((each) => (
            <li key={each.person} className="flex flex-wrap items-center gap-2">
              <span className="font-semibold">{each.name}</span>
              <span className="quiet">
                {t('recording.until', { until: dayAndTime(each.until) })}
              </span>
              <button
                type="button"
                className="btn btn-xs btn-plain"
                aria-label={t('recording.takeBack', { name: each.name })}
                onClick={() => void takeBack(id, each.person)}
              >
                {t('recording.takeBackShort')}
              </button>
            </li>
          ))}
        </ul>
      )}
    </>
  );
}

/** How long it is kept. */
function Keep({ opened }: { opened: RecordingOpened }) {
  const { t } = useTranslation();
  const now = useNow();
  return (
    <label className="flex items-center gap-2">
      {t('recording.keep')}
      <select
        className="select select-sm bg-base-100"
        value=""
        onChange={(event) => {
          const years = Number(event.target.value);
          const until = years > 0 ? new Date(now + years * YEAR_MS).toISOString() : undefined;
          void keepUntil(opened.recording.id, until);
        }}
      >
        <option value="" disabled>
          {t('recording.keepChosen', { until: dayAndTime(opened.keptUntil) })}
        </option>
        <option value="0">{t('recording.keepAs')}</option>
        {YEARS.map((years) => (
          <option key={years} value={years}>
            {t('recording.keepYears', { count: years })}
          </option>
        ))}
      </select>
    </label>
  );
}
