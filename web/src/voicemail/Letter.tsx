import { useQuery } from '@tanstack/react-query';
import {
  IconDownload,
  IconMailOpened,
  IconPhone,
  IconShare3,
  IconTrash,
} from '@tabler/icons-react';
import { useCallback, useMemo, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { sentence } from '../api/client';
import type { MessageLetter, MessageView } from '../api/types';
import { aboutParty, nameOf } from '../calls/order';
import { callParty } from '../calls/services';
import { useCalls } from '../calls/store';
import { CardAndKey } from '../contacts/CardAndKey';
import { KeyCap } from '../ui/KeyCap';
import { useKeys } from '../ui/keys';
import { Controls } from '../player/Controls';
import { Note } from '../player/Note';
import { usePlayer } from '../player/usePlayer';
import { useSoundState } from '../sound/store';
import { dayAndTime } from '../words/time';
import { PassOn } from './PassOn';
import { Transcript } from './Transcript';
import { dealt, heard, keepNote, letterOf, remove } from './messages';

interface Props {
  id: number;
  /** It is to be deleted: nothing of it is asked for any more. */
  onGone: () => void;
}

/** A message, opened: its sound as a band, under it what was said, beneath what one does with it. */
export function Letter({ id, onGone }: Props) {
  const { data, error } = useQuery(letterOf(id));
  if (error) {
    return (
      <p role="alert" className="text-error font-semibold">
        {sentence(error)}
      </p>
    );
  }
  return data ? <Opened key={id} letter={data} onGone={onGone} /> : null;
}

interface OpenedProps {
  letter: MessageLetter;
  onGone: () => void;
}

function Opened({ letter, onGone }: OpenedProps) {
  const { t } = useTranslation();
  const { message } = letter;
  const { id } = message;
  const player = usePlayer(
    `/api/voicemail/${id}/sound`,
    useCallback(() => void heard(id, true), [id]),
  );
  const name = nameOf(message.who, t('party.withheld'));
  return (
    <article aria-label={t('mailbox.from', { name })}>
      <header className="flex flex-wrap items-baseline gap-x-3">
        <h2 className="text-xl font-bold break-words">{name}</h2>
        <span className="quiet">
          {[
            ...aboutParty(message.who, t),
            message.line && t('party.onLine', { line: message.line }),
          ]
            .filter(Boolean)
            .join(' · ')}
        </span>
        <span className="quiet ml-auto">{dayAndTime(message.began)}</span>
      </header>
      <p className="quiet text-sm">{fate(message, t)}</p>
      {message.passedBy && (
        <p className="mt-1">
          <span className="font-semibold">
            {t('voicemail.passedBy', { name: message.passedBy })}
          </span>{' '}
          {message.passedNote}
        </p>
      )}
      <Controls player={player} outlines={[letter.outline]} length={message.length} />
      <div className="mt-4">
        <Transcript letter={letter} player={player} />
      </div>
      <Deeds letter={letter} onGone={onGone} />
      <Note
        key={message.note}
        note={message.note}
        placeholder={t('voicemail.notePlaceholder')}
        save={(text) => keepNote(id, text)}
      />
    </article>
  );
}

/** Who heard it and who has dealt with it. */
function fate(message: MessageView, t: ReturnType<typeof useTranslation>['t']): string {
  const deed = (what: 'heard' | 'dealt') => {
    const it = message[what];
    return (
      it &&
      t(`voicemail.${what}${it.mine ? 'ByMe' : 'By'}`, { name: it.name, time: dayAndTime(it.at) })
    );
  };
  return [message.fresh && t('voicemail.fresh'), deed('heard'), deed('dealt')]
    .filter(Boolean)
    .join(' · ');
}

/** What one does with a message. Letters mean calls as long as there are any. */
function Deeds({ letter, onGone }: OpenedProps) {
  const { t } = useTranslation();
  const { message, numbers } = letter;
  const { id } = message;
  const free = useCalls().length === 0;
  const { wideband } = useSoundState();
  const [passing, setPassing] = useState(false);
  const deeds = useMemo(
    () => ({
      c: () => (message.who.dial ? callParty(message.who) : false),
      p: () => setPassing(true),
      d: () => dealt(id, !message.dealt),
      u: () => heard(id, message.fresh),
      delete() {
        onGone();
        return remove([id]);
      },
    }),
    [id, message, onGone],
  );
  useKeys(
    useMemo(
      () => (free ? Object.entries(deeds).map(([key, run]) => ({ key, run })) : []),
      [free, deeds],
    ),
  );
  const cap = (name: string) => free && <KeyCap name={name} />;
  return (
    <>
      <div className="mt-5 flex flex-wrap gap-2">
        {message.who.dial && (
          <button type="button" className="btn btn-primary" onClick={() => void deeds.c()}>
            <IconPhone size={18} aria-hidden="true" />
            {t('voicemail.callBack')} {cap('C')}
          </button>
        )}
        {numbers.map((number) => (
          <button
            key={number.dial}
            type="button"
            className="btn btn-plain"
            onClick={() => void callParty(number)}
          >
            {t('voicemail.callNumber', { number: number.shown })}
          </button>
        ))}
        <button
          type="button"
          className="btn btn-plain"
          aria-pressed={message.dealt !== undefined}
          onClick={() => void deeds.d()}
        >
          {t(message.dealt ? 'voicemail.notDealt' : 'voicemail.deal')} {cap('D')}
        </button>
        <button
          type="button"
          className="btn btn-plain"
          aria-expanded={passing}
          onClick={() => setPassing(!passing)}
        >
          <IconShare3 size={18} aria-hidden="true" />
          {t('voicemail.pass')} {cap('P')}
        </button>
        <button type="button" className="btn btn-plain" onClick={() => void deeds.u()}>
          <IconMailOpened size={18} aria-hidden="true" />
          {t(message.fresh ? 'voicemail.markHeard' : 'voicemail.unheard')} {cap('U')}
        </button>
        <button type="button" className="btn btn-plain" onClick={() => void deeds.delete()}>
          <IconTrash size={18} aria-hidden="true" />
          {t('voicemail.remove')} {cap('Del')}
        </button>
      </div>
      <div className="mt-2 flex flex-wrap gap-2">
        <a className="btn btn-sm btn-plain" href={`/api/voicemail/${id}/file`} download>
          <IconDownload size={16} aria-hidden="true" />
          {t('voicemail.saveSound')}
        </a>
        {wideband && (
          <a className="btn btn-sm btn-plain" href={`/api/voicemail/${id}/opus`} download>
            <IconDownload size={16} aria-hidden="true" />
            {t('voicemail.saveSmall')}
          </a>
        )}
        {letter.words.length > 0 && (
          <a className="btn btn-sm btn-plain" href={`/api/voicemail/${id}/transcript`} download>
            <IconDownload size={16} aria-hidden="true" />
            {t('voicemail.saveText')}
          </a>
        )}
        <CardAndKey other={message.who} />
      </div>
      {passing && <PassOn id={id} onDone={() => setPassing(false)} />}
    </>
  );
}
