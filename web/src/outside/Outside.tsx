import { keepPreviousData, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { del, get, put, sentence } from '../api/client';
import type { Outside as Network, SubscriberView } from '../api/types';
import { notify } from '../notices/store';
import { DeskPhones } from './DeskPhones';
import { Played } from './Played';
import { Rush } from './Rush';
import { addWords } from '../words';
import words from './words.view.en.json';

addWords(words);

const KEY = ['outside'];

/** The simulated telephone network: its subscribers, and those I play. */
export function Outside() {
  const { t } = useTranslation();
  const queries = useQueryClient();
  const [text, setText] = useState('');
  const { data, error, isPending } = useQuery({
    queryKey: KEY,
    queryFn: () => get<Network>('/api/outside'),
    placeholderData: keepPreviousData,
  });

  async function change(action: Promise<unknown>) {
    try {
      await action;
    } catch (problem) {
      notify('problem', { sentence: sentence(problem) });
    }
    await queries.invalidateQueries({ queryKey: KEY });
  }

  /** Shown at once; should the server refuse, the answer puts it right. */
  function switchCallers(on: boolean) {
    queries.setQueryData<Network>(KEY, (network) => network && { ...network, callers: on });
    void change(put('/api/outside/callers', { on }));
  }

  const subscribers = data?.subscribers ?? [];
  const wanted = text.trim().toLowerCase();
  const shown = subscribers.filter((each) =>
    `${each.name} ${each.company ?? ''} ${each.shown} ${each.shown.replaceAll(' ', '')} ${each.place}`
      .toLowerCase()
      .includes(wanted),
  );
  const played = subscribers.filter((each) => each.playing);

  return (
    <div className="flex min-h-0 flex-1 flex-col gap-3">
      <div className="border-accent bg-base-100 flex flex-wrap items-center gap-x-4 gap-y-2 rounded-lg border-2 border-dashed px-4 py-2.5">
        <div className="min-w-0 flex-1 basis-72">
          <h1 className="font-bold">{t('outside.title')}</h1>
          <p className="quiet">{t('outside.about')}</p>
        </div>
        <label className="flex items-center gap-3 font-semibold">
          <input
            type="checkbox"
            className="toggle toggle-primary"
            disabled={!data?.switchable}
            checked={data?.callers ?? false}
            onChange={(event) => switchCallers(event.target.checked)}
          />
          <span>
            {t('outside.callers')}
            {data && !data.switchable && (
              <span className="quiet block text-sm font-normal">{t('outside.administrators')}</span>
            )}
          </span>
        </label>
      </div>
      {data?.switchable && <Rush onSend={(action) => void change(action)} />}
      {error && (
        <p role="alert" className="text-error font-semibold">
          {sentence(error)}
        </p>
      )}
      {isPending && <p className="quiet">{t('loading')}</p>}
      <div className="grid min-h-0 flex-1 gap-4 lg:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]">
        <section
          aria-label={t('outside.subscribers')}
          className="sheet flex min-h-0 flex-col max-lg:max-h-[60dvh]"
        >
          <div className="border-base-300 flex items-center gap-3 border-b px-3 py-2">
            <h2 className="font-bold">{t('outside.subscribers')}</h2>
            <input
              type="search"
              aria-label={t('outside.search')}
              placeholder={t('outside.search')}
              className="input input-sm bg-base-100 ml-auto w-52"
              value={text}
              onChange={(event) => setText(event.target.value)}
            />
          </div>
          <ul className="min-h-0 flex-1 overflow-y-auto">
            {shown.map((each) => (
              <SubscriberRow
                key={each.number}
                subscriber={each}
                onPlay={() => void change(put(`/api/outside/subscribers/${each.number}/player`))}
                onLeave={() => void change(del(`/api/outside/subscribers/${each.number}/player`))}
              />
            ))}
            {shown.length === 0 && data && <li className="quiet p-3">{t('outside.nobody')}</li>}
          </ul>
        </section>
        <section aria-label={t('outside.played')} className="min-h-0 overflow-y-auto">
          <h2 className="mb-2 font-bold">{t('outside.played')}</h2>
          {played.length === 0 && <p className="quiet">{t('outside.playNobody')}</p>}
          <ul className="flex flex-col gap-3">
            {played.map((each) => (
              <Played key={each.number} subscriber={each} change={change} />
            ))}
          </ul>
          <DeskPhones />
        </section>
      </div>
    </div>
  );
}

interface RowProps {
  subscriber: SubscriberView;
  onPlay: () => void;
  onLeave: () => void;
}

function SubscriberRow({ subscriber, onPlay, onLeave }: RowProps) {
  const { t } = useTranslation();
  return (
    <li
      aria-label={subscriber.name}
      className="border-base-300 flex items-center gap-3 border-b px-3 py-1.5 last:border-b-0"
    >
      <p className="min-w-0 flex-1">
        <span className="font-semibold">{subscriber.name}</span>{' '}
        <span className="quiet">{subscriber.company}</span>
        <span className="quiet block text-sm">
          {[subscriber.shown, subscriber.place, t(`outside.habit.${subscriber.habit}`)]
            .filter(Boolean)
            .join(' · ')}
        </span>
      </p>
      {subscriber.takenBy ? (
        <span className="quiet text-sm">{t('outside.takenBy', { name: subscriber.takenBy })}</span>
      ) : (
        <button
          type="button"
          className={`btn btn-sm ${subscriber.playing ? '' : 'btn-plain'}`}
          aria-label={t(subscriber.playing ? 'outside.leaveName' : 'outside.playName', {
            name: subscriber.name,
          })}
          onClick={subscriber.playing ? onLeave : onPlay}
        >
          {t(subscriber.playing ? 'outside.leave' : 'outside.play')}
        </button>
      )}
    </li>
  );
}
