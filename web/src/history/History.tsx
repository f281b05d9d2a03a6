import { IconSearch } from '@tabler/icons-react';
import { keepPreviousData, useInfiniteQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { get, sentence } from '../api/client';
import type { HistoryEntry, HistoryPage } from '../api/types';
import { useNow } from '../live/now';
import { dayOf, longDay } from '../words/time';
import { Entry } from './Entry';

const FILTERS = ['ALL', 'MISSED', 'RECEIVED', 'PLACED'] as const;
const DAY_MS = 86_400_000;

function address(filter: string, text: string, before: string): string {
  return `/api/history?${new URLSearchParams({ filter, text, before })}`;
}

/** My calls, day by day, latest first. */
export function History() {
  const { t } = useTranslation();
  const [filter, setFilter] = useState<(typeof FILTERS)[number]>('ALL');
  const [text, setText] = useState('');
  const { data, error, hasNextPage, fetchNextPage, isFetchingNextPage } = useInfiniteQuery({
    queryKey: ['history', filter, text.trim()],
    queryFn: ({ pageParam }) => get<HistoryPage>(address(filter, text.trim(), pageParam)),
    initialPageParam: '',
    getNextPageParam: (last) => last.next ?? undefined,
    placeholderData: keepPreviousData,
  });
  const entries = data?.pages.flatMap((page) => page.entries) ?? [];

  return (
    <div className="flex min-h-0 flex-1 flex-col">
      <h1 className="sr-only">{t('tab.history')}</h1>
      <div className="mb-3 flex flex-wrap items-center gap-2">
        <div role="group" aria-label={t('history.which')} className="flex flex-wrap gap-1">
          {FILTERS.map((each) => (
            <button
              key={each}
              type="button"
              aria-pressed={filter === each}
              className={`btn btn-sm ${filter === each ? 'btn-primary' : 'btn-plain'}`}
              onClick={() => setFilter(each)}
            >
              {t(`history.filter.${each}`)}
            </button>
          ))}
        </div>
        <label className="input input-sm bg-base-100 ml-auto w-72 max-sm:w-full">
          <IconSearch size={16} aria-hidden="true" />
          <input
            type="search"
            aria-label={t('history.search')}
            placeholder={t('history.search')}
            maxLength={100}
            value={text}
            onChange={(event) => setText(event.target.value)}
          />
        </label>
      </div>
      <div className="sheet min-h-0 flex-1 overflow-y-auto">
        {error && (
          <p role="alert" className="text-error p-4 font-semibold">
            {sentence(error)}
          </p>
        )}
        {data && entries.length === 0 && (
          <p className="quiet p-4">
            {t(text || filter !== 'ALL' ? 'history.noneFound' : 'history.none')}
          </p>
        )}
        <Days entries={entries} />
        {hasNextPage && (
          <div className="p-3 text-center">
            <button
              type="button"
              className="btn btn-sm btn-plain"
              disabled={isFetchingNextPage}
              onClick={() => void fetchNextPage()}
            >
              {t('history.older')}
            </button>
          </div>
        )}
      </div>
    </div>
  );
}

function Days({ entries }: { entries: HistoryEntry[] }) {
  const { t } = useTranslation();
  const now = useNow();
  const days = new Map<string, HistoryEntry[]>();
  for (const entry of entries) {
    const day = dayOf(entry.began);
    days.set(day, [...(days.get(day) ?? []), entry]);
  }
  const title = (day: string, first: HistoryEntry) =>
    day === dayOf(now)
      ? t('history.today')
      : day === dayOf(now - DAY_MS)
        ? t('history.yesterday')
        : longDay(first.began, now);

  return [...days].map(([day, ofDay]) => (
    <section key={day} aria-label={title(day, ofDay[0] as HistoryEntry)}>
      <h2 className="bg-base-200 border-base-300 sticky top-0 z-[1] border-b px-4 py-1.5 text-sm font-bold">
        {title(day, ofDay[0] as HistoryEntry)}
      </h2>
      <ul>
        {ofDay.map((entry) => (
          <Entry key={entry.id} entry={entry} />
        ))}
      </ul>
    </section>
  ));
}
